package web

import (
	"bytes"
	"encoding/json"
	"errors"
	"reflect"
	"sync"

	"github.com/danielgtaylor/huma/v2"
)

// models are schemas of bodies by their type, bounded like those of the API.
var models sync.Map

type model struct {
	registry huma.Registry
	schema   *huma.Schema
}

func modelOf(t reflect.Type) model {
	if m, ok := models.Load(t); ok {
		return m.(model)
	}
	registry := huma.NewMapRegistry("#/components/schemas/", huma.DefaultSchemaNamer)
	m := model{registry, registry.Schema(t, true, t.Name())}
	b := bounder{registry, map[*huma.Schema]bool{}}
	for _, s := range registry.Map() {
		b.schema("", s)
	}
	models.Store(t, m)
	return m
}

// Fits reads a body that did not come as one, but within a file, and checks it as the API
// would: the same bounds, kinds and lengths.
func Fits[T any](raw []byte, into *T) error {
	var plainly any
	if err := json.Unmarshal(raw, &plainly); err != nil {
		return errors.New("it is no JSON object")
	}
	m := modelOf(reflect.TypeFor[T]())
	var found huma.ValidateResult
	huma.Validate(m.registry, m.schema, huma.NewPathBuffer([]byte{}, 0), huma.ModeWriteToServer, plainly, &found)
	if len(found.Errors) > 0 {
		return errors.New(huma.NewError(422, unchecked, found.Errors...).Error())
	}
	d := json.NewDecoder(bytes.NewReader(raw))
	d.DisallowUnknownFields()
	if err := d.Decode(into); err != nil {
		return errors.New("it does not fit")
	}
	var c checker
	c.value("", reflect.ValueOf(into).Elem())
	if len(c.found) > 0 {
		return errors.New(huma.NewError(422, unchecked, c.found...).Error())
	}
	return nil
}
