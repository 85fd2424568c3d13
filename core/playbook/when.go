package playbook

// condition reads a "when": a mapping with one key, which is all, any, not, a
// measure or a word.
func (b *Book) condition(n node) (When, error) {
	allowed := []string{"all", "any", "not"}
	for _, m := range measures {
		allowed = append(allowed, m.name)
	}
	for _, w := range factWords {
		allowed = append(allowed, w.name)
	}
	in, err := n.fields(allowed...)
	if err != nil {
		return nil, err
	}
	if len(in) != 1 {
		return nil, n.errorf("expected one condition here, not %d; use all or any to join several", len(in))
	}
	for key, v := range in {
		c, err := b.one(key, v)
		if err != nil {
			return nil, err
		}
		if len(c) > mostAlternatives {
			return nil, n.errorf("this unfolds into more than %d alternatives; write it as several rules", mostAlternatives)
		}
		return c, nil
	}
	panic("playbook: an empty mapping of length one")
}

func (b *Book) one(key string, v node) (When, error) {
	switch key {
	case "all", "any":
		return b.join(key, v)
	case "not":
		c, err := b.condition(v)
		return c.not(), err
	}
	for w := range factWords {
		if factWords[w].name == key {
			return b.word(Word(w), v)
		}
	}
	for m := range measures {
		if measures[m].name == key {
			return threshold(Measure(m), v)
		}
	}
	panic("playbook: an allowed key without a reader")
}

func (b *Book) join(key string, n node) (When, error) {
	items, err := n.items()
	if err != nil {
		return nil, err
	}
	if len(items) == 0 {
		return nil, n.errorf("%s needs at least one condition", key)
	}
	var out When
	for i, it := range items {
		c, err := b.condition(it)
		switch {
		case err != nil:
			return nil, err
		case i == 0 || key == "any":
			out = append(out, c...)
		default:
			out = both(out, c)
		}
		if len(out) > mostAlternatives {
			break // told by the caller
		}
	}
	return out, nil
}

func (b *Book) word(w Word, n node) (When, error) {
	vocabulary := b.WordsOf(w)
	some, err := n.anyOf(factWords[w].name, vocabulary)
	if err != nil {
		return nil, err
	}
	s, _ := setOf(vocabulary, some...)
	return isTest(Test{Of: w, Any: s}), nil
}

// threshold reads {above: …}, {below: …} or both, with soft as the width over
// which it fades, centred on the threshold.
func threshold(m Measure, n node) (When, error) {
	r := n.reader("above", "below", "soft")
	if r.err != nil {
		return nil, r.err
	}
	d := measures[m].dimension
	limit := func(key string) float64 { return r.quantity(key, d, false) }
	if measures[m].difference {
		limit = func(key string) float64 { return r.width(key, d, false) }
	}
	_, hasAbove := r.in["above"]
	_, hasBelow := r.in["below"]
	above, below := limit("above"), limit("below")
	soft := r.width("soft", d, true)
	switch {
	case r.err != nil:
		return nil, r.err
	case !(soft > 0):
		return nil, n.errorf("soft must be more than 0: thresholds fade, they are not cliffs")
	case hasAbove && hasBelow && below <= above:
		return nil, n.errorf("below must be greater than above: nothing lies between")
	case !hasAbove && !hasBelow:
		return nil, n.errorf("%s needs above, below or both", measures[m].name)
	}
	k := Clause{}
	if hasAbove {
		k.Ramps = append(k.Ramps, rising(m, above-soft/2, above+soft/2))
	}
	if hasBelow {
		k.Ramps = append(k.Ramps, rising(m, below+soft/2, below-soft/2))
	}
	return When{k}, nil
}
