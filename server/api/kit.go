package api

import (
	"context"
	"fmt"
	"net/http"

	"github.com/danielgtaylor/huma/v2"
	"github.com/google/uuid"

	"greypebble/core/kit"
	"greypebble/core/playbook"
	"greypebble/interchange/kitcsv"
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
	return KitBody{string(i.Kind), i.Name, i.Offering, i.LengthM, i.WeightKg, i.RatedKg, i.Ratio, i.SpoolM, i.TurnM, i.DiameterM, i.BreakN, i.Material, i.Size, i.Pattern,
		i.RatedM, i.FallMS, i.Finish, i.SnagProof, i.InHand, i.Count}
}

func (b KitBody) item() kit.Item {
	return kit.Item{Kind: kit.Kind(b.Kind), Name: b.Name, Offering: b.Offering, LengthM: b.LengthM, WeightKg: b.WeightKg, RatedKg: b.RatedKg, Ratio: b.Ratio, SpoolM: b.SpoolM,
		TurnM: b.TurnM, DiameterM: b.DiameterM, BreakN: b.BreakN, Material: b.Material, Size: b.Size, Pattern: b.Pattern, RatedM: b.RatedM, FallMS: b.FallMS, Finish: b.Finish,
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
	ByID
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

func (s *Server) registerKit(api huma.API) {
	huma.Register(api, operation(http.MethodGet, "/kit", "kit", "What you own"), s.getKit)
	put := operation(http.MethodPut, "/kit/{id}", "putKit", "Write a thing you own, new or changed")
	put.Errors = append(put.Errors, http.StatusConflict)
	huma.Register(api, put, s.putKit)
	huma.Register(api, operation(http.MethodDelete, "/kit/{id}", "deleteKit", "Take a thing out of the kit"), func(ctx context.Context, in *ByID) (*struct{}, error) {
		angler, err := s.angler(ctx)
		if err != nil {
			return nil, err
		}
		return nil, failed(s.store.DeleteKitItem(ctx, angler, in.ID))
	})
	huma.Register(api, operation(http.MethodGet, "/interchange/kit.csv", "kitFile", "Your kit as a table"), s.kitFile)
	huma.Register(api, operation(http.MethodPost, "/interchange/kit", "importKit", "Add the things of a table to your kit, all or none"), s.importKit)
}

func (s *Server) getKit(ctx context.Context, _ *struct{}) (*kitOutput, error) {
	angler, err := s.angler(ctx)
	if err != nil {
		return nil, err
	}
	items, err := s.store.Kit(ctx, angler)
	if err != nil {
		return nil, failed(err)
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
			return nil, failed(err)
		}
		b.Items = append(b.Items, kitItemOut{id, i.Revision, kitBody(i.Item)})
	}
	for _, i := range kit.Templates() {
		i.InHand = true
		b.Templates = append(b.Templates, kitBody(i))
	}
	for _, o := range s.book.Offerings {
		i := kit.Item{Kind: kit.Bait, Name: o.Name, Offering: o.ID, InHand: true}
		if o.Approach == "lure" {
			i = kit.Item{Kind: kit.Lure, Name: o.Name, Offering: o.ID, Finish: o.Finish, LengthM: o.LengthM, WeightKg: o.WeightKg, RatedM: o.RatedM, InHand: true}
		}
		b.Templates = append(b.Templates, kitBody(i))
	}
	return out, nil
}

func (s *Server) putKit(ctx context.Context, in *kitItemInput) (*revisionOutput, error) {
	angler, err := s.angler(ctx)
	if err != nil {
		return nil, err
	}
	i := in.Body.item()
	if err := s.checkItem(i); err != nil {
		return nil, wrong("body", err)
	}
	out := &revisionOutput{}
	out.Body.Revision, err = s.store.PutKitItem(ctx, angler, in.ID, i, in.Body.Revision)
	return out, failed(err)
}

// checkItem and that the playbook knows what it is offered as.
func (s *Server) checkItem(i kit.Item) error {
	if err := i.Validate(); err != nil {
		return err
	}
	if i.Offering == "" {
		return nil
	}
	o, known := s.book.Offering(i.Offering)
	switch {
	case !known:
		return fmt.Errorf("kit: %s %q: the playbook has no offering %q", i.Kind, i.Name, i.Offering)
	case (o.Approach == "lure") != (i.Kind == kit.Lure):
		return fmt.Errorf("kit: %s %q: %s is no %s", i.Kind, i.Name, o.Name, i.Kind)
	}
	return playbook.CheckFinish(i.Finish)
}

func (s *Server) kitFile(ctx context.Context, _ *struct{}) (*fileOutput, error) {
	angler, err := s.angler(ctx)
	if err != nil {
		return nil, err
	}
	items, err := s.store.Kit(ctx, angler)
	if err != nil {
		return nil, failed(err)
	}
	list := make([]kit.Item, len(items))
	for i := range items {
		list[i] = items[i].Item
	}
	raw, err := kitcsv.Write(list)
	if err != nil {
		return nil, failed(err)
	}
	return &fileOutput{ContentType: "text/csv; charset=utf-8", ContentDisposition: `attachment; filename="kit.csv"`, Body: raw}, nil
}

func (s *Server) importKit(ctx context.Context, in *kitFileInput) (*kitFileOutput, error) {
	angler, err := s.angler(ctx)
	if err != nil {
		return nil, err
	}
	list, err := kitcsv.Read(in.RawBody)
	if err != nil {
		return nil, wrong("body", err)
	}
	out := &kitFileOutput{}
	out.Body.Items = []KitBody{}
	for n, i := range list {
		if err := s.checkItem(i); err != nil {
			return nil, wrong("body", fmt.Errorf("thing %d of the file: %w", n+1, err))
		}
		out.Body.Items = append(out.Body.Items, kitBody(i))
	}
	if !in.Preview {
		if err := s.store.PutKitItems(ctx, angler, list); err != nil {
			return nil, failed(err)
		}
		out.Body.Kept = true
	}
	return out, nil
}
