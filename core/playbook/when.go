package playbook

// expression reads a "when": a mapping with one key, which is all, any, not, a
// measure, a word or trait.
func (b *Book) expression(n node) (expression, error) {
	allowed := []string{"all", "any", "not", "trait"}
	for _, m := range measures {
		allowed = append(allowed, m.name)
	}
	for _, w := range words {
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
		switch key {
		case "all", "any":
			return b.join(key, v)
		case "not":
			e, err := b.expression(v)
			return not{e}, err
		case "trait":
			t, err := v.anyOf("trait", traits)
			return hasTrait{t}, err
		}
		for w := range words {
			if words[w].name == key {
				return b.word(Word(w), v)
			}
		}
		for m := range measures {
			if measures[m].name == key {
				return threshold(Measure(m), v)
			}
		}
	}
	panic("playbook: an allowed key without a reader")
}

func (b *Book) join(key string, n node) (expression, error) {
	items, err := n.items()
	if err != nil {
		return nil, err
	}
	if len(items) == 0 {
		return nil, n.errorf("%s needs at least one condition", key)
	}
	parts := make([]expression, len(items))
	for i, it := range items {
		if parts[i], err = b.expression(it); err != nil {
			return nil, err
		}
	}
	if key == "any" {
		return any_(parts), nil
	}
	return all(parts), nil
}

func (b *Book) word(w Word, n node) (expression, error) {
	vocabulary := words[w].vocabulary
	if w == OfferingID {
		vocabulary = b.offeringIDs()
	}
	v, err := n.anyOf(words[w].name, vocabulary)
	return wordIs{w, v}, err
}

// threshold reads {above: …}, {below: …} or both, with soft as the width over
// which it fades, centred on the threshold.
func threshold(m Measure, n node) (expression, error) {
	r := n.reader("above", "below", "soft")
	d := measures[m].dimension
	if r.err != nil {
		return nil, r.err
	}
	_, hasAbove := r.in["above"]
	_, hasBelow := r.in["below"]
	above, below := r.quantity("above", d, false), r.quantity("below", d, false)
	soft := r.width("soft", d)
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
	up := ramp{m, above - soft/2, above + soft/2}
	down := ramp{m, below + soft/2, below - soft/2}
	switch {
	case hasAbove && hasBelow:
		return band{up, down}, nil
	case hasAbove:
		return up, nil
	}
	return down, nil
}
