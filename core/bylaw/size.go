package bylaw

import "time"

// limits of length the rule has, metres.
func (r *Rule) limits() (out []float64) {
	for _, m := range []float64{r.MinM, r.MaxM, r.OverM} {
		if m > 0 {
			out = append(out, m)
		}
	}
	return out
}

// size of a fish by the rule.
func (r *Rule) size(q *Asked) (Word, string) {
	s := q.Fish.as(r.Measure)
	if r.MinM > 0 {
		switch s.atLeast(r.MinM) {
		case no:
			return Release, r.saysShort(q)
		case unsure:
			return NotKnown, r.saysUnmeasured(q)
		}
	}
	switch {
	case r.MaxM > 0:
		return r.slot(q, s)
	case r.OverM > 0:
		return r.fewLong(q, s)
	}
	return Keep, r.saysWithin(q)
}

// fewLong is a rule under which only so many may be longer than a length.
func (r *Rule) fewLong(q *Asked, s span) (Word, string) {
	switch short := s.atMost(r.OverM); {
	case short == yes:
		return Keep, r.saysWithin(q)
	case r.overLeft(q) > 0:
		return Keep, r.saysOver(q)
	case short == no:
		return Release, r.saysOverFull(q)
	}
	return NotKnown, r.saysUnmeasured(q)
}

// slot is a rule with a greatest length, beyond which so many may be kept, or none.
func (r *Rule) slot(q *Asked, s span) (Word, string) {
	within := s.atMost(r.MaxM)
	if within == yes {
		return Keep, r.saysWithin(q)
	}
	// Between the slot and where the allowance begins none may be kept.
	beyond := yes
	if r.OverM > r.MaxM {
		beyond = s.atLeast(r.OverM)
	}
	switch left := r.overLeft(q) > 0; {
	case within == no && beyond == no:
		return Release, r.saysLong(q)
	case left && beyond == yes:
		return Keep, r.saysOver(q)
	case within == no && r.Over == 0:
		return Release, r.saysLong(q)
	case within == no && !left:
		return Release, r.saysOverFull(q)
	}
	return NotKnown, r.saysUnmeasured(q)
}

// allowedOver is the length from which the allowance begins.
func (r *Rule) allowedOver() float64 {
	if r.OverM > 0 {
		return r.OverM
	}
	return r.MaxM
}

// overLeft are how many more fish of the allowance the person may keep that day.
func (r *Rule) overLeft(q *Asked) int {
	used := 0
	for i := range q.Kept {
		k := &q.Kept[i]
		// One whose length was not told may have been it.
		if k.Who == q.Who && sameDay(k.Time, q.Time) && r.Of(k.Species) && (k.LengthM <= 0 || k.LengthM > r.allowedOver()+exact) {
			used++
		}
	}
	return r.Over - used
}

// sameDay of the local clock of the second.
func sameDay(t, local time.Time) bool {
	a := t.In(local.Location())
	return a.Year() == local.Year() && a.YearDay() == local.YearDay()
}
