package outing

import "slices"

// Feature is a kind of place that was cast to, and what it brought.
type Feature struct {
	Name  string
	Casts int
	Fish  int
	// Signs are bites, fish missed, lost and landed: a place with one is worth another cast.
	Signs int
}

// pays is how many fish on one kind of feature make a pattern (common practice, no source: a day's fish come
// from one kind of feature).
const pays = 2

// Features cast to, most fish first, then most signs, then in their order. What happens belongs to the last
// cast that named one.
func (o *Outing) Features() []Feature {
	var out []Feature
	last, hooked := -1, -1
	for i := range o.told {
		t := &o.told[i]
		switch {
		case t.Kind == Cast && t.Note != "":
			last = slices.IndexFunc(out, func(f Feature) bool { return f.Name == t.Note })
			if last < 0 {
				last = len(out)
				out = append(out, Feature{Name: t.Note})
			}
			out[last].Casts++
		case t.Kind == Fish && (t.Doing.SpotID != o.spotBefore(i)):
			last = -1 // another spot: nothing there was cast to
		case last < 0:
		case t.Kind == On:
			hooked = last
			out[last].Signs++
		case t.Kind == Landed:
			if hooked < 0 {
				hooked = last
				out[last].Signs++
			}
			out[hooked].Fish++
			hooked = -1
		case t.Kind == Lost, t.Kind == FoulHooked, t.Kind == BrokeOff:
			hooked = -1
		case t.Kind == Bite, t.Kind == Missed, t.Kind == Robbed:
			out[last].Signs++
		}
	}
	slices.SortStableFunc(out, func(a, b Feature) int {
		if a.Fish != b.Fish {
			return b.Fish - a.Fish
		}
		return b.Signs - a.Signs
	})
	return out
}

// Pays is the kind of feature the day's fish come from; false while none has brought two.
func (o *Outing) Pays() (Feature, bool) {
	if f := o.Features(); len(f) > 0 && f[0].Fish >= pays {
		return f[0], true
	}
	return Feature{}, false
}

// spotBefore the touch of an index, where one fished; empty for none.
func (o *Outing) spotBefore(i int) string {
	for i--; i >= 0; i-- {
		if o.told[i].Kind == Fish {
			return o.told[i].Doing.SpotID
		}
	}
	return ""
}
