package web

import (
	"maps"
	"slices"

	"github.com/danielgtaylor/huma/v2"

	"greypebble/core/quantity"
)

// years in which times may lie, as a pattern of RFC 3339.
const years = `^(19|20|21)\d\d-`

// longestText and mostItems hold where an operation says nothing else.
var longestText, mostItems = 400, 200

// Bound every number and time of an API's document by what is possible, see
// [quantity.BoundsOf]; bounds an operation gives itself hold where they are narrower.
func Bound(api huma.API) {
	doc := api.OpenAPI()
	b := bounder{doc.Components.Schemas, map[*huma.Schema]bool{}}
	for _, s := range doc.Components.Schemas.Map() {
		b.schema("", s)
	}
	for _, item := range doc.Paths {
		for _, op := range []*huma.Operation{item.Get, item.Put, item.Post, item.Delete} {
			if op == nil {
				continue
			}
			for _, p := range op.Parameters {
				b.schema(p.Name, p.Schema)
			}
			if op.RequestBody != nil {
				for _, c := range op.RequestBody.Content {
					b.schema("", c.Schema)
				}
			}
		}
	}
}

type bounder struct {
	registry huma.Registry
	done     map[*huma.Schema]bool
}

// schema of a field by its name, and of all within it.
func (b bounder) schema(name string, s *huma.Schema) {
	if s == nil || b.done[s] {
		return
	}
	b.done[s] = true
	switch s.Type {
	case huma.TypeNumber, huma.TypeInteger:
		b.number(name, s)
	case huma.TypeString:
		b.text(s)
	case huma.TypeArray:
		if s.MaxItems == nil {
			s.MaxItems = &mostItems
		}
	}
	for _, field := range slices.Sorted(maps.Keys(s.Properties)) {
		b.schema(field, s.Properties[field])
	}
	b.schema(name, s.Items)
	if more, ok := s.AdditionalProperties.(*huma.Schema); ok {
		b.schema(name, more)
	}
	s.PrecomputeMessages()
}

func (b bounder) text(s *huma.Schema) {
	switch {
	case s.Format == "date-time" && s.Pattern == "":
		s.Pattern, s.PatternDescription = years, "a time between the years 1900 and 2199, like 2026-11-20T09:30:00Z"
	case s.Format == "" && s.ContentEncoding == "" && len(s.Enum) == 0 && s.MaxLength == nil:
		s.MaxLength = &longestText
	}
}

func (b bounder) number(name string, s *huma.Schema) {
	limits, known := quantity.BoundsOf(name)
	if !known {
		return
	}
	if s.Minimum == nil && s.ExclusiveMinimum == nil {
		s.Minimum = &limits.Least
	}
	if s.Maximum == nil && s.ExclusiveMaximum == nil {
		s.Maximum = &limits.Most
	}
}
