package playbook

import (
	"slices"

	"greypebble/core/quantity"
)

// Offering is a bait or a lure.
type Offering struct {
	ID, Name, Approach string
	Traits             []string
	// Kind of lure the kit files it under; the id itself for baits.
	Kind string
	// Finish of a lure, one of [Finishes]; empty for baits.
	Finish string
	// LengthM of the whole, WeightKg of a lure that carries its own weight.
	LengthM, WeightKg float64
	rigs              []string
	// on are those rigs in the order of the book.
	on []*Rig
	// SlowMS, MediumMS and FastMS are speeds through the water in m/s at which a lure
	// keeps its action; zero for baits, which lie or drift.
	SlowMS, MediumMS, FastMS float64
	// RatedM is the depth a plug dives to, zero for others.
	RatedM float64
	// Hooked says how a bait goes on the hook, or what to mind of a lure.
	Hooked string
	traits Set
	bit    Set
}

// ButForFinish says whether two offerings of the book are one thing in two finishes; not where it knows either not.
func (b *Book) ButForFinish(first, second string) bool {
	o, known := b.Offering(first)
	p, too := b.Offering(second)
	return known && too && o.Kind == p.Kind && o.Approach == p.Approach && o.Finish != p.Finish && o.LengthM == p.LengthM &&
		o.WeightKg == p.WeightKg && o.RatedM == p.RatedM && o.MediumMS == p.MediumMS
}

// Dressed is the offering with another finish.
func (o *Offering) Dressed(finish string) *Offering {
	if finish == "" || finish == o.Finish {
		return o
	}
	out := *o
	out.Finish, out.Traits = finish, nil
	for _, t := range o.Traits {
		if t != o.Finish {
			out.Traits = append(out.Traits, t)
		}
	}
	out.Traits = append(out.Traits, finish)
	out.traits, _ = setOf(traits, out.Traits...)
	return &out
}

func (b *Book) readOffering(n node) error {
	r := n.reader("id", "name", "approach", "traits", "kind", "finish", "length", "weight", "rigs", "slow", "medium", "fast",
		"rated", "hooked")
	o := Offering{ID: r.text("id"), Name: r.text("name"), Approach: r.word("approach", "approach", Approaches),
		Traits: r.words("traits", "trait", traits, false), Kind: r.maybe("kind"), LengthM: r.quantity("length", quantity.Length, true),
		WeightKg: r.quantity("weight", quantity.Mass, false), rigs: r.words("rigs", "rig", b.rigIDs(), true),
		SlowMS: r.quantity("slow", quantity.Speed, false), MediumMS: r.quantity("medium", quantity.Speed, false),
		FastMS: r.quantity("fast", quantity.Speed, false),
		RatedM: r.quantity("rated", quantity.Length, false), Hooked: r.maybe("hooked")}
	r.unique(o.ID, b.offeringIDs())
	if r.err != nil {
		return r.err
	}
	if o.Kind == "" {
		o.Kind = o.ID
	}
	if o.Approach == "lure" {
		o.Finish = r.word("finish", "finish", Finishes)
		o.Traits = append(o.Traits, o.Finish)
		switch {
		case r.err != nil:
			return r.err
		case !(o.SlowMS > 0 && o.MediumMS > o.SlowMS):
			return n.errorf("offering %q: a lure needs slow and a greater medium speed", o.ID)
		case o.FastMS != 0 && o.FastMS <= o.MediumMS:
			return n.errorf("offering %q: fast must be more than medium", o.ID)
		}
	}
	if len(b.Offerings) == mostWords {
		return n.errorf("more than %d offerings", mostWords)
	}
	for i := range b.Rigs {
		if slices.Contains(o.rigs, b.Rigs[i].ID) {
			o.on = append(o.on, &b.Rigs[i])
		}
	}
	o.traits, _ = setOf(traits, o.Traits...)
	o.bit = 1 << len(b.Offerings)
	b.Offerings = append(b.Offerings, o)
	return nil
}

// Soft says that it is easily thrown off the hook.
func (o *Offering) Soft() bool { return slices.Contains(o.Traits, "soft") }

// On lists the rigs the offering goes on.
func (o *Offering) On() []*Rig { return o.on }

// OrderOf a rig among those the offering goes on; one it does not go on comes last.
func (o *Offering) OrderOf(r *Rig) int {
	if i := slices.Index(o.rigs, r.ID); i >= 0 {
		return i
	}
	return len(o.rigs)
}

// Offering by id.
func (b *Book) Offering(id string) (*Offering, bool) {
	for i := range b.Offerings {
		if b.Offerings[i].ID == id {
			return &b.Offerings[i], true
		}
	}
	return nil, false
}
