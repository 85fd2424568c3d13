package feed

import (
	"context"
	"net"
	"sync"
	"time"

	"greypebble/core/conditions"
	"greypebble/interchange/nmea"
)

// Sounder listens to an instrument over TCP and keeps what it said last.
type Sounder struct {
	Address string
	Now     func() time.Time

	mu     sync.Mutex
	seen   Seen
	faults nmea.Faults
}

// Seen is what an instrument said last; the zero time means never.
type Seen struct {
	DepthM, WaterTempC, Lat, Lon  float64
	DepthAt, WaterTempAt, PlaceAt time.Time
}

// Run listens until the context ends, connecting again after a pause that grows
// to a minute when the instrument is silent or gone.
func (s *Sounder) Run(ctx context.Context) {
	wait := time.Second
	for ctx.Err() == nil {
		if s.listen(ctx) {
			wait = time.Second
		}
		select {
		case <-ctx.Done():
		case <-time.After(wait):
		}
		wait = min(wait*2, time.Minute)
	}
}

// silence after which a connection is given up.
const silence = 30 * time.Second

// listen until the connection ends, and says whether anything came.
func (s *Sounder) listen(ctx context.Context) (heard bool) {
	var d net.Dialer
	ctx, cancel := context.WithCancel(ctx)
	defer cancel()
	conn, err := d.DialContext(ctx, "tcp", s.Address)
	if err != nil {
		return false
	}
	go func() {
		<-ctx.Done()
		_ = conn.Close()
	}()
	var faults nmea.Faults
	for m, err := range nmea.Messages(patient{conn}, &faults) {
		if err != nil {
			break
		}
		heard = true
		s.note(m, faults)
	}
	return heard
}

// patient reads with a deadline renewed each time.
type patient struct{ net.Conn }

func (p patient) Read(b []byte) (int, error) {
	_ = p.SetReadDeadline(time.Now().Add(silence))
	return p.Conn.Read(b)
}

func (s *Sounder) note(m nmea.Message, faults nmea.Faults) {
	s.mu.Lock()
	defer s.mu.Unlock()
	s.faults = faults
	now := s.Now()
	switch m := m.(type) {
	case nmea.Depth:
		s.seen.DepthM, s.seen.DepthAt = m.FromSurfaceM(), now
	case nmea.WaterTemp:
		s.seen.WaterTempC, s.seen.WaterTempAt = m.C, now
	case nmea.Position:
		s.seen.Lat, s.seen.Lon, s.seen.PlaceAt = m.Lat, m.Lon, now
	}
}

// Seen last, and what was wrong on the line.
func (s *Sounder) Seen() (Seen, nmea.Faults) {
	s.mu.Lock()
	defer s.mu.Unlock()
	return s.seen, s.faults
}

// Readings it gives: depth and water temperature, observed.
func (s *Sounder) Readings() []conditions.Reading {
	seen, _ := s.Seen()
	var out []conditions.Reading
	for _, r := range []conditions.Reading{
		{Kind: conditions.WaterTemp, Value: seen.WaterTempC, Time: seen.WaterTempAt},
		{Kind: conditions.SounderDepth, Value: seen.DepthM, Time: seen.DepthAt},
	} {
		r.Origin, r.Source = conditions.Observed, "sounder"
		if !r.Time.IsZero() && r.Validate() == nil {
			out = append(out, r)
		}
	}
	return out
}
