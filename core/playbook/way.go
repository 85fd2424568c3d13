package playbook

import (
	"strconv"
	"strings"

	"greypebble/core/ground"
	"greypebble/core/tackle"
)

// Way of moving a rig.
type Way struct {
	// Style is one of [Styles]; Move says it, with {strike} where the hook decides
	// between striking and winding.
	Style, Move string
	// Cadence in the bench's written form, with {pause}; empty for what lies still.
	Cadence string
	// Over a bottom or a kind of mark, what else to do there.
	Over map[string]string
}

// Moved says how, over a mark.
func (w *Way) Moved(m *ground.Mark) string {
	for _, k := range []string{string(m.Kind), m.Bottom} {
		if says := w.Over[k]; says != "" {
			return says + " " + w.Move
		}
	}
	return w.Move
}

// usualWaterC is the water a cadence is shown for where none is known, °C.
const usualWaterC = 18

// CadenceFor a pause of so many seconds.
func (w *Way) CadenceFor(pauseS float64) string {
	return strings.ReplaceAll(w.Cadence, "{pause}", strconv.FormatFloat(pauseS, 'f', -1, 64))
}

func readWay(n node) (Way, error) {
	r := n.reader("style", "move", "cadence", "over")
	w := Way{r.word("style", "style", Styles), r.text("move"), r.maybe("cadence"), read(r, "over", false, readOver)}
	if r.err == nil && w.Cadence != "" {
		if _, err := tackle.ParseCadence(w.CadenceFor(tackle.Pause(usualWaterC))); err != nil {
			return w, n.errorf("%s", strings.TrimPrefix(err.Error(), "tackle: "))
		}
	}
	return w, r.err
}

// readOver what else to do over a bottom or a kind of mark.
func readOver(n node) (map[string]string, error) {
	fields, err := n.fields(append(ground.MarkKinds(), ground.Bottoms...)...)
	if err != nil {
		return nil, err
	}
	out := make(map[string]string, len(fields))
	for _, k := range sortedKeys(fields) {
		if out[k], err = fields[k].text(); err != nil {
			return nil, err
		}
	}
	return out, nil
}
