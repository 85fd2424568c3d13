package web

import (
	"fmt"
	"math"
	"reflect"
	"strings"
	"time"
	"unicode"

	"github.com/danielgtaylor/huma/v2"
)

// check what was sent for what no field may hold, whatever it is: numbers that are none,
// times no tide table reaches, characters nobody can see. The router has checked kinds and
// bounds by then.
func check(in any) error {
	var c checker
	v := reflect.ValueOf(in).Elem()
	for i := range v.NumField() {
		f := v.Type().Field(i)
		switch {
		case f.Name == "RawBody":
		case f.Name == "Body":
			c.value("body", v.Field(i))
		case f.Anonymous:
			if err := check(v.Field(i).Addr().Interface()); err != nil {
				return err
			}
		default:
			for _, where := range []string{"path", "query", "header"} {
				if name, _, _ := strings.Cut(f.Tag.Get(where), ","); name != "" {
					c.value(where+"."+name, v.Field(i))
				}
			}
		}
	}
	if len(c.found) == 0 {
		return nil
	}
	return huma.NewError(422, unchecked, c.found...)
}

type checker struct{ found []error }

func (c *checker) add(where, says string) {
	c.found = append(c.found, &huma.ErrorDetail{Location: where, Message: says})
}

var timeType = reflect.TypeFor[time.Time]()

func (c *checker) value(where string, v reflect.Value) {
	switch v.Kind() {
	case reflect.Float64, reflect.Float32:
		if x := v.Float(); math.IsNaN(x) || math.IsInf(x, 0) {
			c.add(where, "must be a number")
		}
	case reflect.String:
		if err := Legible(v.String()); err != nil {
			c.add(where, err.Error())
		}
	case reflect.Pointer, reflect.Interface:
		if !v.IsNil() {
			c.value(where, v.Elem())
		}
	case reflect.Slice, reflect.Array:
		if v.Type().Elem().Kind() == reflect.Uint8 {
			return
		}
		for i := range v.Len() {
			c.value(fmt.Sprintf("%s[%d]", where, i), v.Index(i))
		}
	case reflect.Map:
		for _, k := range v.MapKeys() {
			c.value(fmt.Sprintf("%s.%v", where, k), v.MapIndex(k))
		}
	case reflect.Struct:
		c.structure(where, v)
	}
}

func (c *checker) structure(where string, v reflect.Value) {
	if v.Type() == timeType {
		t := v.Interface().(time.Time)
		if y := t.UTC().Year(); !t.IsZero() && (y < 1900 || y > 2199) {
			c.add(where, "must be a time between the years 1900 and 2199")
		}
		return
	}
	for i := range v.NumField() {
		f := v.Type().Field(i)
		if !f.IsExported() {
			continue
		}
		name, _, _ := strings.Cut(f.Tag.Get("json"), ",")
		switch {
		case f.Anonymous && name == "":
			c.value(where, v.Field(i))
		case name == "name" && f.Type.Kind() == reflect.String:
			c.name(where+".name", v.Field(i))
		case name != "-":
			c.value(where+"."+name, v.Field(i))
		}
	}
}

// name without what stands around it; one that is only that is none, and one line is
// enough for it.
func (c *checker) name(where string, v reflect.Value) {
	was := v.String()
	name := strings.TrimSpace(was)
	switch {
	case name == "" && was != "":
		c.add(where, "must not be empty")
	case strings.ContainsAny(name, "\n\r\t"):
		c.add(where, "must stand on one line")
	case v.CanSet():
		v.SetString(name)
	}
	c.value(where, v)
}

// Legible refuses a text with a character nobody can see.
func Legible(s string) error {
	if r, bad := unseen(s); bad {
		return fmt.Errorf("holds a character that cannot be seen (U+%04X)", r)
	}
	return nil
}

// unseen is the first character of a text that is not for reading: controls other than the
// ends of lines, what turns the direction of writing, what is no character at all.
func unseen(s string) (rune, bool) {
	for _, r := range s {
		switch {
		case r == '\n', r == '\t', r == '\r':
		case unicode.Is(unicode.Cc, r), r == unicode.ReplacementChar, r == '\ufeff', r&0xfffe == 0xfffe:
			return r, true
		case r >= '\u202a' && r <= '\u202e', r >= '\u2066' && r <= '\u2069', r == '\u200e', r == '\u200f':
			return r, true
		}
	}
	return 0, false
}
