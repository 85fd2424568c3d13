package spot

import (
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"greypebble/core/conditions"
	"greypebble/core/ground"
	"greypebble/core/quantity"
	"greypebble/core/tide"
	"greypebble/core/water"
)

func TestTheWayInWords(t *testing.T) {
	at := func(h int) time.Time { return time.Date(2026, 11, 20, h, 0, 0, 0, time.UTC) }
	list := []ground.Window{{Closes: at(8), ClosedBy: ground.TooDeep}, {Opens: at(12), Closes: at(15), ClosedBy: ground.TooDeep}}
	for h, want := range map[int][2]string{
		6:  {"You can get in and back", "Until 08:00, in 2 h: then it is too deep."},
		9:  {"Shut: you cannot get in and back", "Opens at 12:00, in 3 h; open until 15:00."},
		20: {"Shut: you cannot get in and back", "Not as far as the ribbon shows."},
	} {
		title, says := new(Spot).SayWay(list, at(h), Spoken{Zone: time.UTC})
		assert.Equal(t, want, [2]string{title, says})
	}
	title, says := new(Spot).SayWay([]ground.Window{{}}, at(3), Spoken{Zone: time.UTC})
	assert.Equal(t, [2]string{"You can get in and back", "For as long as the ribbon shows."}, [2]string{title, says})
	assert.Equal(t, "from 12:00", SayMark(list, at(9), Spoken{Zone: time.UTC}))
	assert.Equal(t, "until 15:00, then too deep", SayMark(list, at(13), Spoken{Zone: time.UTC}))
	assert.Equal(t, "not today", SayMark(list, at(16), Spoken{Zone: time.UTC}))
	assert.Equal(t, "open", SayMark([]ground.Window{{}}, at(3), Spoken{Zone: time.UTC}))
	zone := time.FixedZone("there", -3*3600)
	assert.Equal(t, "from 09:00", SayMark(list, at(9), Spoken{Zone: zone}), "in the place's own time")
}

func TestRunsDropFlickers(t *testing.T) {
	start := time.Date(2026, 11, 20, 0, 0, 0, 0, time.UTC)
	var frames []Frame
	for i, s := range []water.Surface{water.Ripple, water.Ripple, water.Ripple, water.Ripple, water.Ripple, water.Chop, water.Ripple,
		water.Ripple, water.Ripple, water.Chop, water.Chop, water.Chop, water.Chop, water.Chop} {
		frames = append(frames, Frame{Moment: Moment{Time: start.Add(time.Duration(i) * FrameStep)}, Surface: Surface{Surface: s}})
	}
	runs := Runs(frames)
	require.Len(t, runs, 2)
	assert.Equal(t, water.Ripple, runs[0].Surface)
	assert.Equal(t, runs[0].To, runs[1].From)
	assert.Equal(t, frames[len(frames)-1].Time, runs[1].To)
	assert.Empty(t, Runs(nil))
}

func TestGate(t *testing.T) {
	at := func(h int) time.Time { return time.Date(2026, 11, 20, h, 0, 0, 0, time.UTC) }
	open := []ground.Window{{Opens: at(2), Closes: at(8)}, {Opens: at(12)}}
	assert.Equal(t, Gate{Open: true, Closing: true, Closes: at(8)}, GateAt(open, at(6)))
	assert.Equal(t, Gate{Open: true, Closes: at(8)}, GateAt(open, at(3)))
	assert.Equal(t, Gate{Opens: at(12)}, GateAt(open, at(9)))
	assert.Equal(t, Gate{Open: true}, GateAt(open, at(20)))
	assert.Equal(t, Gate{}, GateAt(nil, at(20)))
}

// A spot with nothing but a position has tide, light and weather; of its depths nothing is
// said.
func TestABareSpotIsAFullCitizen(t *testing.T) {
	s := sunTrap(t, mild)
	s.Section, s.Marks = nil, nil
	c, err := tide.Over(s.Tide, january, january.Add(12*time.Hour))
	require.NoError(t, err)
	frames, err := s.Frames(c, Spoken{Units: quantity.Metric, Zone: time.UTC})
	require.NoError(t, err)
	require.NotEmpty(t, frames)
	for _, f := range frames {
		assert.Equal(t, "Depth not known here yet", f.Says)
		assert.Empty(t, f.White)
		assert.NotEmpty(t, f.Light().String())
	}
	m, err := s.At(c, january)
	require.NoError(t, err)
	assert.Equal(t, LeastColumn, m.DeepestM())
	assert.Empty(t, m.ReadPier().Under)
}

func TestStatementsSayWhereTheyComeFrom(t *testing.T) {
	s := sunTrap(t, mild)
	g, err := tide.NewSurge(0.3, january, 12*time.Hour)
	require.NoError(t, err)
	s.Surge, s.Tide = &g, tide.WithSurge(s.Tide, g)
	c, err := tide.Over(s.Tide, january, january.Add(time.Hour))
	require.NoError(t, err)
	m, err := s.At(c, january)
	require.NoError(t, err)
	by := map[string]Statement{}
	for _, k := range m.Statements() {
		assert.NotEmpty(t, k.Source, k.Kind)
		assert.LessOrEqual(t, k.Low, k.High, k.Kind)
		by[k.Kind] = k
	}
	assert.Equal(t, conditions.Forecast, by["water_temp_c"].Origin)
	assert.Equal(t, "stained", by["clarity_secchi_m"].Says)
	assert.Equal(t, conditions.Observed, by["tide_surge_m"].Origin)
	assert.InDelta(t, 0.3, by["tide_surge_m"].Value, 0.01)
	assert.Equal(t, conditions.Assumed, by["wind_wave_m"].Origin, "the water has no outline")
	assert.NotContains(t, by, "current_ms", "nothing tells it")
}

func TestAWrongFieldIsNamed(t *testing.T) {
	good := func() *Spot {
		return &Spot{Name: "Bar", Place: "oyster bar", LatLon: ground.LatLon{Lat: 31, Lon: -45},
			Access: ground.Access{Manner: ground.OnFoot}}
	}
	require.NoError(t, good().Validate())
	far := 400.0
	for field, spoil := range map[string]func(*Spot){
		"name":      func(s *Spot) { s.Name = " " },
		"place":     func(s *Spot) { s.Place = "moon" },
		"bottom":    func(s *Spot) { s.Bottom = "gravel" },
		"lat":       func(s *Spot) { s.Lat = 999 },
		"manner":    func(s *Spot) { s.Access.Manner = "jet" },
		"faces_deg": func(s *Spot) { s.FacesDeg = &far },
		"section":   func(s *Spot) { s.Section = []ground.Point{{}} },
		"shape":     func(s *Spot) { s.Shape = &ground.Shape{Area: true} },
		"marks[0]":  func(s *Spot) { s.Marks = []ground.Mark{{Name: "x", Kind: "hole", Bottom: "gravel"}} },
	} {
		s := good()
		spoil(s)
		var wrong FieldError
		require.ErrorAs(t, s.Validate(), &wrong, field)
		assert.Equal(t, field, wrong.Field)
	}
}

func TestMarksOnTheMap(t *testing.T) {
	s := &Spot{Name: "Bar", LatLon: ground.LatLon{Lat: 31, Lon: -45}}
	near := ground.Toward(s.LatLon, 90, 100)
	bottom := func(ground.LatLon) float64 { return -1.234 }
	require.NoError(t, s.PutMark(ground.Mark{ID: "1", Name: "Hole", Kind: ground.Hole}, near, nil, bottom))
	require.NoError(t, s.PutMark(ground.Mark{ID: "1", Name: "Deep hole", Kind: ground.Hole}, near, nil, bottom))
	require.Len(t, s.Marks, 1, "written over")
	assert.Equal(t, -1.23, s.Marks[0].ElevationM)
	assert.InDelta(t, 100, s.Marks[0].DistanceM, 1)
	assert.True(t, s.LiesAt("Bar: Deep hole", near))
	assert.False(t, s.LiesAt("Deep hole", near))
	var wrong FieldError
	require.ErrorAs(t, s.PutMark(ground.Mark{ID: "2", Name: "Far", Kind: ground.Hole}, ground.Toward(s.LatLon, 0, 5000), nil, bottom),
		&wrong)
	assert.Equal(t, "at", wrong.Field)
}
