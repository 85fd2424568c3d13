package call

import (
	"errors"
	"fmt"
	"net/url"
	"reflect"
	"strconv"
	"strings"
	"time"

	"github.com/google/uuid"

	"greypebble/answer"
	"greypebble/core/ground"
)

// query of a request.
type query struct{ url.Values }

// into a question's fields by their tags, as the server reads them: what is left out takes its default.
func (q query) into(question any) error { return q.fill(reflect.ValueOf(question).Elem()) }

func (q query) fill(of reflect.Value) error {
	for i := range of.NumField() {
		field := of.Type().Field(i)
		if field.Anonymous {
			if err := q.fill(of.Field(i)); err != nil {
				return err
			}
			continue
		}
		name, _, _ := strings.Cut(field.Tag.Get("query"), ",")
		given := q.Values[name]
		if fallback := field.Tag.Get("default"); len(given) == 0 && fallback != "" {
			given = []string{fallback}
		}
		if len(given) == 0 {
			continue
		}
		if err := take(of.Field(i), given, field.Tag); err != nil {
			return answer.Wrong("query."+name, err)
		}
	}
	return nil
}

// take what is given for a field: one value, or a list of them.
func take(into reflect.Value, given []string, tag reflect.StructTag) error {
	if into.Kind() != reflect.Slice {
		return value(into, given[0], tag)
	}
	list := reflect.MakeSlice(into.Type(), len(given), len(given))
	for i, v := range given {
		if err := value(list.Index(i), v, tag); err != nil {
			return err
		}
	}
	into.Set(list)
	return nil
}

// value of a field by how it is written, within its bounds.
func value(into reflect.Value, text string, tag reflect.StructTag) (err error) {
	switch p := into.Addr().Interface().(type) {
	case *string:
		*p = text
	case *bool:
		if *p, err = strconv.ParseBool(text); err != nil {
			return errors.New("must be true or false")
		}
	case *int:
		if *p, err = strconv.Atoi(text); err != nil {
			return errors.New("must be a whole number")
		}
		return within(float64(*p), tag)
	case *float64:
		if *p, err = strconv.ParseFloat(text, 64); err != nil {
			return errors.New("must be a number")
		}
		return within(*p, tag)
	case *time.Time:
		if *p, err = time.Parse(time.RFC3339, text); err != nil {
			return errors.New("must be a time like 2026-11-20T09:30:00Z")
		}
	default:
		return fmt.Errorf("a %T cannot be asked for", p)
	}
	return nil
}

// within the bounds its tag sets; NaN is in none.
func within(v float64, tag reflect.StructTag) error {
	if low, err := strconv.ParseFloat(tag.Get("minimum"), 64); err == nil && !(v >= low) {
		return fmt.Errorf("must be at least %v", low)
	}
	if high, err := strconv.ParseFloat(tag.Get("maximum"), 64); err == nil && !(v <= high) {
		return fmt.Errorf("must be at most %v", high)
	}
	return nil
}

// spot that is asked after.
func spotID(id string) (uuid.UUID, error) {
	u, err := uuid.Parse(id)
	if err != nil {
		return u, answer.Wrong("path.id", errors.New("must be the id of something here"))
	}
	return u, nil
}

type atTime struct {
	Time time.Time `query:"time"`
}

func (q query) idAt(id string) (uuid.UUID, time.Time, error) {
	var in atTime
	if err := q.into(&in); err != nil {
		return uuid.UUID{}, in.Time, err
	}
	u, err := spotID(id)
	return u, in.Time, err
}

func (q query) ribbon(a asking, spot string) (any, error) {
	id, err := spotID(spot)
	if err != nil {
		return nil, err
	}
	var asked answer.RibbonAsked
	if err := q.into(&asked); err != nil {
		return nil, err
	}
	from, to, err := asked.Stretch(a.now)
	if err != nil {
		return nil, err
	}
	sp, err := a.Spot(id, from)
	if err != nil {
		return nil, err
	}
	return answer.RibbonOf(sp, from, to, a.Units())
}

func (q query) visits(a asking, spot string) (any, error) {
	id, err := spotID(spot)
	if err != nil {
		return nil, err
	}
	var asked answer.VisitsAsked
	if err := q.into(&asked); err != nil {
		return nil, err
	}
	return answer.VisitsOf(a, id, &asked)
}

// look over the coming days: once for the page that asks for the fortnight and for the windows in it.
func (a asking) look(in *answer.AheadAsked) (*answer.Outlook, error) {
	over, err := answer.LookingOver(a, in, ground.AsEach, "query", answer.Everywhere)
	if err != nil {
		return nil, err
	}
	same := fmt.Sprintf("%q %q %d %d", in.Along, in.Targets, over.From.Unix(), in.Days)
	if a.looked.o == nil || a.looked.at != same {
		o, err := over.Look()
		if err != nil {
			return nil, err
		}
		a.looked.at, a.looked.o = same, o
	}
	return a.looked.o, nil
}
