package sim

import (
	"context"
	"fmt"
	"math"
	"math/rand/v2"
	"net"
	"strings"
	"time"

	"greypebble/core/conditions"
	"greypebble/interchange/nmea"
)

// Sounder drifts in a small circle over made-up ground and says what it sees.
type Sounder struct {
	Weather  Weather
	Now      func() time.Time
	Lat, Lon float64
	Fault    Fault
	// Every is the pause between reports, 0 means a second.
	Every time.Duration
}

// Report is what it says at a moment: position, depth, temperature, wind.
func (s Sounder) Report(t time.Time, r *rand.Rand) []string {
	turn := float64(t.Unix()%600) / 600 * 2 * math.Pi
	lat, lon := s.Lat+0.0006*math.Sin(turn), s.Lon+0.0006*math.Cos(turn)
	w := s.Weather(t)
	depth := 2.4 + 0.9*math.Sin(turn*3) + 0.02*r.NormFloat64()
	clock := t.UTC().Format("150405.00")
	sentences := []nmea.Sentence{
		{Talker: "GP", Type: "RMC", Fields: []string{clock, "A", angle(lat, 2), half(lat, "N", "S"), angle(lon, 3), half(lon, "E", "W"),
			"0.4", "90.0", t.UTC().Format("020106"), "", ""}},
		{Talker: "SD", Type: "DPT", Fields: []string{fmt.Sprintf("%.2f", depth), "0.20"}},
		{Talker: "YX", Type: "MTW", Fields: []string{fmt.Sprintf("%.1f", w[conditions.WaterTemp]), "C"}},
		{Talker: "WI", Type: "MWV", Fields: []string{fmt.Sprintf("%.0f", w[conditions.WindFrom]), "T",
			fmt.Sprintf("%.1f", w[conditions.WindSpeed]), "M", "A"}},
	}
	out := make([]string, len(sentences))
	for i, k := range sentences {
		out[i] = s.spoil(k.String(), r)
	}
	return out
}

// spoil a line as the fault says.
func (s Sounder) spoil(line string, r *rand.Rand) string {
	if r.IntN(3) > 0 {
		return line
	}
	switch s.Fault {
	case Checksums:
		at := 7 + r.IntN(len(line)-12)
		return line[:at] + string(rune('0'+r.IntN(10))) + line[at+1:]
	case Truncated:
		return line[:r.IntN(len(line))]
	case Garbage:
		return strings.Repeat("\x00ÿ#", r.IntN(60)) + line[len(line)/2:]
	}
	return line
}

func angle(x float64, digits int) string {
	x = math.Abs(x)
	d := math.Floor(x)
	return fmt.Sprintf("%0*.0f%07.4f", digits, d, (x-d)*60)
}

func half(x float64, positive, negative string) string {
	if x < 0 {
		return negative
	}
	return positive
}

// Serve reports to everyone who connects, until the context ends.
func (s Sounder) Serve(ctx context.Context, l net.Listener) error {
	go func() {
		<-ctx.Done()
		_ = l.Close()
	}()
	for {
		conn, err := l.Accept()
		if err != nil {
			if ctx.Err() != nil {
				return nil
			}
			return err
		}
		go s.talk(ctx, conn)
	}
}

func (s Sounder) talk(ctx context.Context, conn net.Conn) {
	defer conn.Close()
	every := s.Every
	if every == 0 {
		every = time.Second
	}
	r := rand.New(rand.NewPCG(20260512, 1)) //nolint:gosec // made-up water
	for {
		for _, line := range s.Report(s.Now(), r) {
			_ = conn.SetWriteDeadline(time.Now().Add(5 * time.Second))
			if _, err := conn.Write([]byte(line + "\r\n")); err != nil {
				return
			}
		}
		select {
		case <-ctx.Done():
			return
		case <-time.After(every):
		}
	}
}
