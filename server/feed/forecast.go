package feed

import (
	"context"
	"errors"
	"fmt"
	"io"
	"net/http"
	"time"

	"greypebble/interchange/forecast"
)

// Client of a forecast service. The zero value is ready.
type Client struct {
	// HTTP is the client used; nil means one with a timeout for each try.
	HTTP *http.Client
	// Tries in all, 0 means 4; Wait before the second one doubles each time, 0
	// means half a second.
	Tries int
	Wait  time.Duration
	// Timeout of a try, 0 means ten seconds.
	Timeout time.Duration
}

// largestForecast in bytes: a month of hours is a tenth of it.
const largestForecast = 1 << 20

// StatusError is an answer that is not a forecast.
type StatusError struct{ Status int }

func (e StatusError) Error() string { return fmt.Sprintf("the service answered %d", e.Status) }

// lasting errors are not worth another try.
func (e StatusError) lasting() bool {
	return e.Status >= 400 && e.Status < 500 && e.Status != http.StatusTooManyRequests && e.Status != http.StatusRequestTimeout
}

// Fetch a forecast. It tries again, waiting longer each time, when the service
// is slow, fails or talks nonsense; it gives up at once on an address that is
// wrong.
func (c Client) Fetch(ctx context.Context, url string) (forecast.Forecast, error) {
	tries, wait := c.Tries, c.Wait
	if tries == 0 {
		tries = 4
	}
	if wait == 0 {
		wait = 500 * time.Millisecond
	}
	var err error
	for n := range tries {
		if n > 0 {
			select {
			case <-ctx.Done():
				return forecast.Forecast{}, errors.Join(err, ctx.Err())
			case <-time.After(wait << (n - 1)):
			}
		}
		var f forecast.Forecast
		if f, err = c.once(ctx, url); err == nil {
			return f, nil
		}
		var status StatusError
		if errors.As(err, &status) && status.lasting() {
			break
		}
	}
	return forecast.Forecast{}, fmt.Errorf("feed: forecast: %w", err)
}

func (c Client) once(ctx context.Context, url string) (forecast.Forecast, error) {
	timeout := c.Timeout
	if timeout == 0 {
		timeout = 10 * time.Second
	}
	ctx, cancel := context.WithTimeout(ctx, timeout)
	defer cancel()
	req, err := http.NewRequestWithContext(ctx, http.MethodGet, url, nil)
	if err != nil {
		return forecast.Forecast{}, err
	}
	req.Header.Set("Accept", "text/csv")
	client := c.HTTP
	if client == nil {
		client = http.DefaultClient
	}
	res, err := client.Do(req)
	if err != nil {
		return forecast.Forecast{}, err
	}
	defer res.Body.Close()
	if res.StatusCode != http.StatusOK {
		return forecast.Forecast{}, StatusError{res.StatusCode}
	}
	raw, err := io.ReadAll(io.LimitReader(res.Body, largestForecast+1))
	if err != nil {
		return forecast.Forecast{}, err
	}
	if len(raw) > largestForecast {
		return forecast.Forecast{}, fmt.Errorf("the forecast is larger than %d bytes", largestForecast)
	}
	return forecast.Read(raw)
}
