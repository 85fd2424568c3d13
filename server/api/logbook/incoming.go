package logbook

import (
	"cmp"
	"context"
	"errors"
	"fmt"
	"strings"
	"time"

	"github.com/danielgtaylor/huma/v2"
	"github.com/google/uuid"

	"greypebble/interchange/logcsv"
	"greypebble/interchange/parse"
	"greypebble/server/api/web"
	"greypebble/server/api/wire"
	"greypebble/server/store"
)

// mostComing are the spells of one file.
const mostComing = 5000

type incomingInput struct {
	Body incomingBody
}

type incomingBody struct {
	ID      uuid.UUID            `json:"id" format:"uuid" doc:"of the import, made by the writer: sent twice, it happens once"`
	Name    string               `json:"name" maxLength:"120" doc:"of the file"`
	Text    string               `json:"text" maxLength:"16000000" doc:"CSV, its columns as /interchange/columns, or log.json"`
	Order   string               `json:"order,omitempty" enum:"ymd,dmy,mdy" doc:"of dates in numbers, where they do not tell"`
	Target  string               `json:"target,omitempty" maxLength:"80" doc:"that was sought where a line does not say"`
	Hours   float64              `json:"hours,omitempty" minimum:"0" maximum:"24" doc:"a spell lasted, where a line does not say"`
	Spots   map[string]uuid.UUID `json:"spots,omitempty" doc:"which spot is meant by a name of the file"`
	Targets map[string]string    `json:"targets,omitempty" doc:"which target is meant by a name of the file; other: none of them"`
	Partial bool                 `json:"partial,omitempty" doc:"leave out what cannot be read, instead of refusing the file"`
	Keep    bool                 `json:"keep,omitempty" doc:"take it into the log; else it is only told what that would do"`
}

// FaultOut is what is wrong with a line.
type FaultOut struct {
	Line   int    `json:"line"`
	Column string `json:"column,omitempty"`
	Says   string `json:"says"`
}

// UnknownOut is a name of a file that nothing goes by.
type UnknownOut struct {
	Name  string `json:"name"`
	Lines int    `json:"lines"`
}

type comingOut struct {
	Line       int       `json:"line"`
	SpotName   string    `json:"spot_name"`
	TimeZone   string    `json:"time_zone"`
	TargetName string    `json:"target_name"`
	StartedAt  time.Time `json:"started_at"`
	EndedAt    time.Time `json:"ended_at"`
	Rods       int       `json:"rods"`
	Offering   string    `json:"offering,omitempty"`
	Fish       int       `json:"fish"`
	Double     bool      `json:"double,omitempty" doc:"it is in the log already"`
}

type incomingOutput struct {
	Body struct {
		Spells         int          `json:"spells" doc:"that are new"`
		Catches        int          `json:"catches"`
		Blanks         int          `json:"blanks"`
		Doubles        int          `json:"doubles" doc:"that are in the log already, and are left out"`
		Reckoned       int          `json:"reckoned" doc:"whose hours the file does not tell"`
		From           *time.Time   `json:"from,omitempty"`
		To             *time.Time   `json:"to,omitempty"`
		First          []comingOut  `json:"first" nullable:"false" doc:"of them, in the order of the file"`
		Faults         []FaultOut   `json:"faults" nullable:"false" doc:"lines that cannot be read"`
		UnknownSpots   []UnknownOut `json:"unknown_spots" nullable:"false"`
		UnknownTargets []UnknownOut `json:"unknown_targets" nullable:"false"`
		WantsOrder     bool         `json:"wants_order,omitempty" doc:"its dates can be read in two ways"`
		Kept           bool         `json:"kept" doc:"it is in the log"`
	}
}

type importOut struct {
	ID      string    `json:"id"`
	Name    string    `json:"name"`
	MadeAt  time.Time `json:"made_at"`
	Spells  int       `json:"spells" doc:"of it that are there"`
	Changed int       `json:"changed" doc:"of them, since"`
}

type importsOutput struct {
	Body struct {
		Imports []importOut `json:"imports" nullable:"false" doc:"newest first"`
	}
}

type takenBackOutput struct {
	Body struct {
		Spells int64 `json:"spells" doc:"that went; those changed since stay"`
	}
}

func (s service) registerIncoming(api huma.API) {
	web.Signed(api, s.Deps, web.TakesFile(web.Post("/interchange/log", "importLog",
		"Take a file of spells into the log, all or none; without keep, what that would do")), s.incoming)
	web.Signed(api, s.Deps, web.Get("/imports", "imports", "Files that were taken into the log, newest first"),
		func(ctx context.Context, as *web.Scope, _ *struct{}) (*importsOutput, error) {
			list, err := s.Store.Imports(ctx, as.Angler)
			out := &importsOutput{}
			out.Body.Imports = make([]importOut, len(list))
			for i, m := range list {
				out.Body.Imports[i] = importOut{m.ID.String(), m.Name, m.MadeAt, m.Spells, m.Changed}
			}
			return out, err
		})
	web.Signed(api, s.Deps, web.Delete("/imports/{id}", "takeBackImport", "Take a file's spells out of the log again"),
		func(ctx context.Context, as *web.Scope, in *wire.ByID) (*takenBackOutput, error) {
			out := &takenBackOutput{}
			var err error
			out.Body.Spells, err = s.Store.TakeBack(ctx, as.Angler, in.ID)
			return out, err
		})
}

func (s service) incoming(ctx context.Context, as *web.Scope, in *incomingInput) (*incomingOutput, error) {
	b := &in.Body
	c, err := s.coming(ctx, as, b)
	if err != nil {
		return nil, err
	}
	if strings.HasPrefix(strings.TrimSpace(b.Text), "{") {
		err = c.wholeLog(ctx)
	} else {
		err = c.table(ctx)
	}
	out := &incomingOutput{}
	if errors.Is(err, logcsv.ErrOrder) {
		out.Body.WantsOrder = true
		err = nil
	}
	if err != nil {
		var at parse.Error
		if errors.As(err, &at) {
			return nil, web.Wrong("body.text", err)
		}
		return nil, err
	}
	if err := c.settle(ctx); err != nil {
		return nil, err
	}
	c.tell(out)
	if !b.Keep {
		return out, nil
	}
	if says := c.refusal(out); says != "" {
		return nil, web.Wrong("body.text", errors.New(says))
	}
	made := store.Import{ID: b.ID, MadeAt: as.Now().UTC().Truncate(time.Millisecond), Name: cmp.Or(strings.TrimSpace(b.Name), "log")}
	if err := s.Store.ImportSpells(ctx, as.Angler, made, c.fresh); err != nil {
		return nil, err
	}
	out.Body.Kept = true
	return out, nil
}

// refusal of what is not to be kept as it is; empty where it may be.
func (c *coming) refusal(out *incomingOutput) string {
	b := &out.Body
	switch {
	case b.WantsOrder:
		return logcsv.ErrOrder.Error()
	case len(c.fresh) == 0:
		return "there is nothing new in this file"
	case c.partial:
		return ""
	case len(b.UnknownSpots)+len(b.UnknownTargets) > 0:
		return "some names of this file are not known; say what they mean, or leave those lines out"
	case len(b.Faults) > 0:
		return fmt.Sprintf("line %d: %s", b.Faults[0].Line, b.Faults[0].Says)
	}
	return ""
}
