package sim

import (
	"fmt"
	"math"
	"net/http"
	"strings"
	"time"

	"greypebble/core/conditions"
)

// Weather of a made-up coast at a time.
type Weather func(t time.Time) map[conditions.Kind]float64

// daysAhead a forecast reaches and hoursBack it begins, and how often a new one is issued.
const (
	daysAhead  = 14
	hoursBack  = 24
	issuedEach = 6 * time.Hour
)

// ForecastCSV as issued last before a time.
func ForecastCSV(w Weather, now time.Time) string {
	issued := now.UTC().Truncate(issuedEach)
	var b strings.Builder
	b.WriteString("time,forecast_reference_time")
	var given []conditions.Nature
	for _, n := range conditions.Natures() {
		if n.CF != "" {
			given = append(given, n)
			b.WriteString("," + n.CF + "," + n.CF + " standard_error")
		}
	}
	b.WriteString("\n")
	e := &ensemble{weather: w, seen: map[int64][]float64{}}
	for _, n := range given {
		e.kinds = append(e.kinds, n.Kind)
	}
	for h := range hoursBack + daysAhead*24 {
		ahead := time.Duration(h-hoursBack) * time.Hour
		t := issued.Add(ahead)
		fmt.Fprintf(&b, "%s,%s", t.Format(time.RFC3339), issued.Format(time.RFC3339))
		values, spread := e.told(t, ahead)
		for i, n := range given {
			b.WriteByte(',')
			if !math.IsNaN(values[i]) {
				fmt.Fprintf(&b, "%.2f", values[i]+n.CFOffset)
			}
			b.WriteByte(',')
			if spread != nil && !math.IsNaN(spread[i]) {
				fmt.Fprintf(&b, "%.3f", spread[i])
			}
		}
		b.WriteString("\n")
	}
	return b.String()
}

// ForecastService answers with the forecast. Its own fault, or one named in the
// query (?fault=slow), makes it fail.
func ForecastService(w Weather, now func() time.Time, own Fault) http.Handler {
	return http.HandlerFunc(func(rw http.ResponseWriter, r *http.Request) {
		fault := own
		if q := r.URL.Query().Get("fault"); q != "" {
			f, err := ParseFault(q)
			if err != nil {
				http.Error(rw, err.Error(), http.StatusBadRequest)
				return
			}
			fault = f
		}
		text := ForecastCSV(w, now())
		switch fault {
		case Slow:
			select {
			case <-r.Context().Done():
				return
			case <-time.After(time.Minute):
			}
		case Fails:
			http.Error(rw, "the model has crashed", http.StatusInternalServerError)
			return
		case Garbage:
			text = "<html><body>Under maintenance</body></html>"
		case Stale:
			text = ForecastCSV(w, now().AddDate(0, 0, -3))
		case Truncated:
			// Within a row, two thirds down.
			text = text[:strings.LastIndexByte(text[:len(text)*2/3], '\n')+30]
		}
		rw.Header().Set("Content-Type", "text/csv; charset=utf-8")
		_, _ = rw.Write([]byte(text))
	})
}
