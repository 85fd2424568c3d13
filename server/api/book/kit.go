package book

import (
	"context"
	"fmt"

	"github.com/danielgtaylor/huma/v2"
	"github.com/google/uuid"

	"greypebble/core/kit"
	"greypebble/core/playbook"
	"greypebble/interchange/kitcsv"
	"greypebble/server/api/web"
	"greypebble/server/api/wire"
)

// KitBody is a thing owned; zero and empty are not said. It is exported for huma, which
// embeds only such fields.
type KitBody struct {
	Kind      string  `json:"kind" enum:"rod,reel,line,leader,sinker,head,hook,lure,bait"`
	Name      string  `json:"name" minLength:"1" maxLength:"80"`
	Offering  string  `json:"offering,omitempty" doc:"of the playbook, for lures and baits"`
	LengthM   float64 `json:"length_m,omitempty" minimum:"0"`
	WeightKg  float64 `json:"weight_kg,omitempty" minimum:"0"`
	RatedKg   float64 `json:"rated_kg,omitempty" minimum:"0" doc:"casting weight of a rod"`
	Ratio     float64 `json:"ratio,omitempty" minimum:"0" doc:"gear ratio of a reel"`
	SpoolM    float64 `json:"spool_m,omitempty" minimum:"0" doc:"diameter of the line on the spool"`
	TurnM     float64 `json:"turn_m,omitempty" minimum:"0" doc:"what a turn was measured to bring in"`
	DiameterM float64 `json:"diameter_m,omitempty" minimum:"0"`
	BreakN    float64 `json:"break_n,omitempty" minimum:"0"`
	Material  string  `json:"material,omitempty"`
	Size      string  `json:"size,omitempty" maxLength:"20"`
	Pattern   string  `json:"pattern,omitempty"`
	RatedM    float64 `json:"rated_m,omitempty" minimum:"0" doc:"depth a plug dives to"`
	FallMS    float64 `json:"fall_ms,omitempty" minimum:"0" doc:"a fall timed once"`
	Finish    string  `json:"finish,omitempty"`
	SnagProof bool    `json:"snag_proof,omitempty"`
	InHand    bool    `json:"in_hand" doc:"with you today"`
	Count     int     `json:"count,omitempty" minimum:"0"`
}

func kitBody(i kit.Item) KitBody {
	return KitBody{Kind: string(i.Kind), Name: i.Name, Offering: i.Offering, LengthM: i.LengthM, WeightKg: i.WeightKg, RatedKg: i.RatedKg,
		Ratio: i.Ratio, SpoolM: i.SpoolM, TurnM: i.TurnM, DiameterM: i.DiameterM, BreakN: i.BreakN, Material: i.Material, Size: i.Size,
		Pattern: i.Pattern,
		RatedM:  i.RatedM, FallMS: i.FallMS, Finish: i.Finish, SnagProof: i.SnagProof, InHand: i.InHand, Count: i.Count}
}

func (b KitBody) item() kit.Item {
	return kit.Item{Kind: kit.Kind(b.Kind), Name: b.Name, Offering: b.Offering, LengthM: b.LengthM, WeightKg: b.WeightKg,
		RatedKg: b.RatedKg, Ratio: b.Ratio, SpoolM: b.SpoolM, TurnM: b.TurnM, DiameterM: b.DiameterM, BreakN: b.BreakN,
		Material: b.Material, Size: b.Size, Pattern: b.Pattern, RatedM: b.RatedM, FallMS: b.FallMS, Finish: b.Finish,
		SnagProof: b.SnagProof, InHand: b.InHand, Count: b.Count}
}

type kitItemOut struct {
	ID       uuid.UUID `json:"id" format:"uuid"`
	Revision int       `json:"revision"`
	KitBody
}

type kitOutput struct {
	Body struct {
		Items     []kitItemOut `json:"items" nullable:"false"`
		Templates []KitBody    `json:"templates" nullable:"false" doc:"things commonly owned, to start from"`
		Kinds     []string     `json:"kinds" nullable:"false"`
		Finishes  []string     `json:"finishes" nullable:"false"`
	}
}

type kitItemInput struct {
	wire.ByID
	Body struct {
		KitBody
		Revision int `json:"revision,omitempty" doc:"of the item changed; 0 for a new one"`
	}
}

type kitFileInput struct {
	Preview bool   `query:"preview" doc:"read only, keep nothing"`
	RawBody []byte `contentType:"text/csv"`
}

type kitFileOutput struct {
	Body struct {
		Items []KitBody `json:"items" nullable:"false" doc:"read from the file"`
		Kept  bool      `json:"kept"`
	}
}

func (s service) registerKit(api huma.API) {
	web.Signed(api, s.Deps, web.Get("/kit", "kit", "What you own"), s.getKit)
	put := web.Conflicting(web.Put("/kit/{id}", "putKit", "Write a thing you own, new or changed"))
	web.Signed(api, s.Deps, put, s.putKit)
	web.Signed(api, s.Deps, web.Delete("/kit/{id}", "deleteKit", "Take a thing out of the kit"),
		func(ctx context.Context, as *web.Scope, in *wire.ByID) (*struct{}, error) {
			return nil, s.Store.DeleteKitItem(ctx, as.Angler, in.ID)
		})
	web.Signed(api, s.Deps, web.Get("/interchange/kit.csv", "kitFile", "Your kit as a table"), s.kitFile)
	web.Signed(api, s.Deps, web.Post("/interchange/kit", "importKit", "Add the things of a table to your kit, all or none"), s.importKit)
}

func (s service) getKit(ctx context.Context, as *web.Scope, _ *struct{}) (*kitOutput, error) {
	book, err := as.Book(ctx)
	if err != nil {
		return nil, err
	}
	items, err := s.Store.Kit(ctx, as.Angler)
	if err != nil {
		return nil, err
	}
	out := &kitOutput{}
	b := &out.Body
	b.Items, b.Templates, b.Finishes = []kitItemOut{}, []KitBody{}, playbook.Finishes
	for _, k := range kit.Kinds {
		b.Kinds = append(b.Kinds, string(k))
	}
	for _, i := range items {
		id, err := uuid.Parse(i.ID)
		if err != nil {
			return nil, err
		}
		b.Items = append(b.Items, kitItemOut{id, i.Revision, kitBody(i.Item)})
	}
	for _, i := range kit.Templates() {
		i.InHand = true
		b.Templates = append(b.Templates, kitBody(i))
	}
	for _, o := range book.Offerings {
		i := kit.Item{Kind: kit.Bait, Name: o.Name, Offering: o.ID, InHand: true}
		if o.Approach == "lure" {
			i = kit.Item{Kind: kit.Lure, Name: o.Name, Offering: o.ID, Finish: o.Finish, LengthM: o.LengthM, WeightKg: o.WeightKg,
				RatedM: o.RatedM, InHand: true}
		}
		b.Templates = append(b.Templates, kitBody(i))
	}
	return out, nil
}

func (s service) putKit(ctx context.Context, as *web.Scope, in *kitItemInput) (*wire.RevisionOutput, error) {
	book, err := as.Book(ctx)
	if err != nil {
		return nil, err
	}
	i := in.Body.item()
	if err := checkItem(book, i); err != nil {
		return nil, web.Wrong("body", err)
	}
	revision, err := s.Store.PutKitItem(ctx, as.Angler, in.ID, i, in.Body.Revision)
	return wire.Revised(revision), err
}

// checkItem and that the playbook knows what it is offered as.
func checkItem(book *playbook.Book, i kit.Item) error {
	if err := i.Validate(); err != nil {
		return err
	}
	if i.Offering == "" {
		return nil
	}
	o, known := book.Offering(i.Offering)
	switch {
	case !known:
		return fmt.Errorf("kit: %s %q: the playbook has no offering %q", i.Kind, i.Name, i.Offering)
	case (o.Approach == "lure") != (i.Kind == kit.Lure):
		return fmt.Errorf("kit: %s %q: %s is no %s", i.Kind, i.Name, o.Name, i.Kind)
	}
	return playbook.CheckFinish(i.Finish)
}

func (s service) kitFile(ctx context.Context, as *web.Scope, _ *struct{}) (*web.File, error) {
	items, err := s.Store.Kit(ctx, as.Angler)
	if err != nil {
		return nil, err
	}
	list := make([]kit.Item, len(items))
	for i := range items {
		list[i] = items[i].Item
	}
	raw, err := kitcsv.Write(list, as.Units)
	if err != nil {
		return nil, err
	}
	return web.Attached("kit.csv", "text/csv; charset=utf-8", raw), nil
}

func (s service) importKit(ctx context.Context, as *web.Scope, in *kitFileInput) (*kitFileOutput, error) {
	book, err := as.Book(ctx)
	if err != nil {
		return nil, err
	}
	list, err := kitcsv.Read(in.RawBody)
	if err != nil {
		return nil, web.Wrong("body", err)
	}
	out := &kitFileOutput{}
	out.Body.Items = []KitBody{}
	for n, i := range list {
		if err := checkItem(book, i); err != nil {
			return nil, web.Wrong("body", fmt.Errorf("thing %d of the file: %w", n+1, err))
		}
		out.Body.Items = append(out.Body.Items, kitBody(i))
	}
	if !in.Preview {
		if err := s.Store.PutKitItems(ctx, as.Angler, list); err != nil {
			return nil, err
		}
		out.Body.Kept = true
	}
	return out, nil
}
