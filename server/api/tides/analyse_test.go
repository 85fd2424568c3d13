package tides_test

import (
	"bytes"
	"fmt"
	"io"
	"math"
	"mime/multipart"
	"net/http"
	"strings"
	"testing"
	"time"

	"greypebble/core/tide"
	"greypebble/testkit"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// A fortnight and a half of hourly levels from the constants of Newport (US
// NOAA) comes back as the constants that can be told apart in it.
func TestAnalyseOverTheAPI(t *testing.T) {
	h, err := tide.NewHarmonics([]tide.Constituent{{Name: "M2", AmplitudeM: 0.5, PhaseDeg: 3},
		{Name: "O1", AmplitudeM: 0.05, PhaseDeg: 200}}, 1.1)
	require.NoError(t, err)
	start := time.Date(2026, 3, 1, 0, 0, 0, 0, time.UTC)
	record := func(hours int) string {
		var b strings.Builder
		b.WriteString("time,height_m\n")
		for i := range hours {
			at := start.Add(time.Duration(i) * time.Hour)
			fmt.Fprintf(&b, "%s,%.4f\n", at.Format(time.RFC3339), h.Level(at))
		}
		return b.String()
	}
	var out struct {
		Constituents []struct {
			Name       string
			AmplitudeM float64 `json:"amplitude_m"`
			PhaseDeg   float64 `json:"phase_deg"`
		}
		Z0M          float64 `json:"z0_m"`
		ResidualRMSM float64 `json:"residual_rms_m"`
		Excluded     []struct{ Name, Reason string }
	}
	c := kit.Fresh(t, "moss")
	require.Equal(t, 200, c.Do("POST", "/tide/analyse", record(60*24), &out))
	assert.InDelta(t, 1.1, out.Z0M, 0.001)
	assert.Less(t, out.ResidualRMSM, 0.001)
	assert.NotEmpty(t, out.Excluded)
	for _, e := range out.Constituents {
		switch e.Name {
		case "M2":
			assert.InDelta(t, 0.5, e.AmplitudeM, 0.005)
			assert.InDelta(t, 3, e.PhaseDeg, 1)
		case "O1":
			assert.InDelta(t, 0.05, e.AmplitudeM, 0.0005)
		default:
			assert.Less(t, e.AmplitudeM, 0.002, e.Name)
		}
	}
	for want, body := range map[string]string{
		"at least 15 are needed": record(14 * 24),
		"line 2, column time":    "time,height_m\n01/02/2026,1\n",
		"expected columns":       "when,how\n1,2\n",
	} {
		var p problem
		assert.Equal(t, 422, c.Do("POST", "/tide/analyse", body, &p), want)
		assert.Contains(t, p.Detail, want)
	}
	assert.Equal(t, 422, c.Do("POST", "/tide/analyse?time_zone=Moon/Tranquility", record(16*24), nil))
}

// A form with a file does as well as the file; one too large is refused with
// what is allowed.
func TestAnalyseAnUpload(t *testing.T) {
	c := kit.Fresh(t, "moss")
	send := func(contentType string, body []byte) (status int, text string) {
		req, err := http.NewRequest("POST", kit.URL+"/api/v1/tide/analyse", bytes.NewReader(body))
		require.NoError(t, err)
		req.Header.Set("Content-Type", contentType)
		res, err := c.Send(req)
		require.NoError(t, err)
		defer res.Body.Close()
		raw, err := io.ReadAll(res.Body)
		require.NoError(t, err)
		return res.StatusCode, string(raw)
	}
	var csv, form bytes.Buffer
	csv.WriteString("time,height_m\n")
	for i := range 20 * 24 {
		fmt.Fprintf(&csv, "%s,%.3f\n", testkit.Now.Add(time.Duration(i)*time.Hour).Format(time.RFC3339),
			1+0.5*math.Cos(float64(i)*2*math.Pi/12.4206))
	}
	w := multipart.NewWriter(&form)
	require.NoError(t, w.WriteField("note", "from the harbour"))
	part, err := w.CreateFormFile("file", "gauge.csv")
	require.NoError(t, err)
	_, err = part.Write(csv.Bytes())
	require.NoError(t, err)
	require.NoError(t, w.Close())
	status, text := send(w.FormDataContentType(), form.Bytes())
	require.Equal(t, http.StatusOK, status, text)
	_, plain := send("text/csv", csv.Bytes())
	assert.Equal(t, plain, text)
	status, text = send("multipart/form-data; boundary=x", []byte("--x\r\n\r\nnothing\r\n--x--\r\n"))
	assert.Equal(t, http.StatusUnprocessableEntity, status)
	assert.Contains(t, text, "no file")
	status, text = send("text/csv", bytes.Repeat([]byte("2026-11-20T06:00:00Z,1.25\n"), 2_000_000))
	assert.Equal(t, http.StatusRequestEntityTooLarge, status)
	assert.Contains(t, text, "33554432")
}
