package demo

import (
	"context"
	"slices"

	"greypebble/core/kit"
	"greypebble/core/playbook"
	"greypebble/server/store"
)

// owned by the demo's first angler: things of the usual list by name, those in atHome
// not with them today.
var (
	owned = []string{"Medium spinning rod, 2.2 m", "Surf rod, 3.6 m", "2500 fixed spool", "20 lb braid", "20 lb fluorocarbon",
		"30 lb fluorocarbon", "1 oz egg sinker", "2 oz pyramid", "1/8 oz head", "1/4 oz head", "1/2 oz head", "3/0 circle hook",
		"1/0 circle hook", "3/0 weedless hook"}
	offered = []string{"live-shrimp", "cut-mullet", "sand-crab-strip", "paddle-tail-white", "paddle-tail-dark", "jerk-shad", "twitch-bait",
		"walking-plug", "bucktail", "metal-spoon"}
	atHome = []string{"Surf rod, 3.6 m", "sand-crab-strip", "2 oz pyramid"}
)

// outfit fills the kit of an angler.
func (a angler) outfit(ctx context.Context, s *store.Store, book *playbook.Book) error {
	var list []kit.Item
	for _, i := range kit.Templates() {
		if slices.Contains(owned, i.Name) {
			i.InHand = !slices.Contains(atHome, i.Name)
			list = append(list, i)
		}
	}
	for _, id := range offered {
		o, _ := book.Offering(id)
		i := kit.Item{Kind: kit.Bait, Name: o.Name, Offering: o.ID, InHand: !slices.Contains(atHome, id)}
		if o.Approach == "lure" {
			i.Kind, i.Finish, i.LengthM, i.WeightKg, i.RatedM = kit.Lure, o.Finish, o.LengthM, o.WeightKg, o.RatedM
		}
		list = append(list, i)
	}
	for _, i := range list {
		if _, err := s.PutKitItem(ctx, a.id(), id(a.name+" owns "+i.Name), i, 0); err != nil {
			return err
		}
	}
	return nil
}
