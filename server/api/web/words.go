package web

import (
	"fmt"
	"math"
	"regexp"
	"strconv"
	"strings"

	"github.com/danielgtaylor/huma/v2"
	"github.com/danielgtaylor/huma/v2/validation"

	"greypebble/core/quantity"
)

// missing stands before the name of a field that is missing, until [plain] has seen it.
const missing = "missing field "

// What is wrong with a field is said to a person.
func init() {
	validation.MsgUnexpectedProperty = "is not known here"
	validation.MsgExpectedRFC3339DateTime = "must be a time like 2026-11-20T09:30:00Z"
	validation.MsgExpectedRFC3339Date = "must be a date like 2026-11-20"
	validation.MsgExpectedRFC3339Time = "must be a time of day like 09:30"
	validation.MsgExpectedRFC4122UUID = "must be the id of something here"
	validation.MsgExpectedRFC3986URI = "must be an address"
	validation.MsgExpectedBoolean = "must be yes or no (true or false)"
	validation.MsgExpectedNumber = "must be a number"
	validation.MsgExpectedInteger = "must be a whole number"
	validation.MsgExpectedString = "must be text"
	validation.MsgExpectedArray = "must be a list"
	validation.MsgExpectedObject = "must be an object with fields"
	validation.MsgExpectedOneOf = "must be one of: %s"
	validation.MsgExpectedMinimumNumber = "must be %v or more"
	validation.MsgExpectedExclusiveMinimumNumber = "must be more than %v"
	validation.MsgExpectedMaximumNumber = "must be %v or less"
	validation.MsgExpectedExclusiveMaximumNumber = "must be less than %v"
	validation.MsgExpectedMinLength = "must not be shorter than %d characters"
	validation.MsgExpectedMaxLength = "must not be longer than %d characters"
	validation.MsgExpectedBePattern = "must be %s"
	validation.MsgExpectedMatchPattern = "must look like %s"
	validation.MsgExpectedMinItems = "needs %d or more"
	validation.MsgExpectedMaxItems = "may hold %d at most"
	validation.MsgExpectedRequiredProperty = missing + "%s"
	huma.ErrorFormatter = func(format string, args ...any) string {
		for i, a := range args {
			if v, is := a.(float64); is {
				args[i] = strconv.FormatFloat(v, 'f', -1, 64) // 2147483646, not 2.147483646e+09
			}
			if _, is := a.(error); is {
				args = nil // an error of a parser is for developers
				break
			}
		}
		if args == nil {
			return format
		}
		return fmt.Sprintf(format, args...)
	}
}

// plainly translates what the router says of parameters and bodies by itself, by what it
// begins with.
var plainly = []struct{ begins, says string }{
	{"invalid integer", "must be a whole number"},
	{"invalid float", "must be a number"},
	{"invalid boolean", "must be yes or no (true or false)"},
	{"unparsable value", "is not of the kind that is asked for"},
	{"unknown query parameter", "is not asked for here"},
	{"required ", "is missing"},
	{"expected at most one value", "is given more than once"},
	{"request body is required", "is missing: expected a JSON object"},
	{"must not be shorter than 1 characters", "must not be empty"},
	{"unknown content type", "is of a kind that is not read here: expected application/json"},
	{"json: cannot unmarshal number", "holds a number that is out of all bounds"},
	{"json: ", "does not fit: expected the fields of this address"},
	{"unexpected end of JSON", "ends too early: expected a JSON object"},
	{"invalid character", "is not JSON: expected an object"},
	{"parsing time", "must be a time like 2026-11-20T09:30:00Z"},
	{"invalid date/time", "must be a time like 2026-11-20T09:30:00Z"},
}

// shown of a value that was sent: what is short and can be written; never a whole object,
// which may hold a password.
func shown(v any) any {
	switch v := v.(type) {
	case bool, int, int64:
		return v
	case float64:
		if !math.IsNaN(v) && !math.IsInf(v, 0) {
			return v
		}
	case string:
		if len(v) <= 60 {
			return v
		}
	}
	return nil
}

// limit is what is said of a number that is out of bounds.
var limit = regexp.MustCompile(`^must be (\S+) or (more|less)$`)

// plain puts one detail into words and, where a field is missing, at that field.
func plain(d *huma.ErrorDetail) {
	d.Value = shown(d.Value)
	if field, is := strings.CutPrefix(d.Message, missing); is {
		d.Location, d.Message = d.Location+"."+field, "is missing"
		return
	}
	if bound := limit.FindStringSubmatch(d.Message); bound != nil {
		name, _, _ := strings.Cut(d.Location[strings.LastIndex(d.Location, ".")+1:], "[")
		if _, unit := quantity.FieldUnit(name); unit != "" {
			d.Message = fmt.Sprintf("must be %s %s or %s", bound[1], unit, bound[2])
		}
		return
	}
	for _, p := range plainly {
		if strings.HasPrefix(d.Message, p.begins) {
			d.Message = p.says
			return
		}
	}
}

// called is what screens call a field whose name does not say it.
var called = map[string]string{
	"lat": "the latitude", "lon": "the longitude", "in_name": "the way in", "out_name": "the way out", "section": "the section",
	"secchi_m": "the clarity", "clarity_secchi_m": "the clarity", "elapsed_s": "the time taken", "z0_m": "mean level",
	"faces_deg": "the way it faces", "started_at": "the start", "ended_at": "the end", "caught_at": "the time of the catch",
	"spot_id": "the spot", "water_id": "the water", "station_id": "the station", "spell_id": "the spell", "length_m": "the length",
	"mass_kg": "the weight", "weight_kg": "the weight", "blur_m": "the blur", "seen_ms": "the fastest run",
	"lag_high_min": "the lag at high water", "lag_low_min": "the lag at low water", "basin_m2": "the water behind it",
	"from_md": "the first day", "to_md": "the last day", "checked_on": "the day it was checked", "says": "what it says", "ms": "the speed",
	"faces": "the way it faces", "in_hand": "at hand", "break_n": "the breaking load", "rated_kg": "the casting weight",
}

// fieldName is what a person calls the field at a location like "body.marks[2].bottom".
func fieldName(location string) string {
	parts := strings.Split(location, ".")
	last := parts[len(parts)-1]
	name, index, _ := strings.Cut(last, "[")
	out, known := called[name]
	if !known {
		bare, _ := quantity.FieldUnit(name)
		bare = strings.TrimSuffix(strings.TrimSuffix(bare, "_id"), "_at")
		out = "the " + strings.ReplaceAll(bare, "_", " ")
	}
	switch {
	case location == "body":
		return "What was sent"
	case index != "":
		if n, err := strconv.Atoi(strings.TrimSuffix(index, "]")); err == nil {
			out = fmt.Sprintf("number %d of %s", n+1, out)
		}
	}
	for _, p := range parts[:len(parts)-1] {
		of, index, listed := strings.Cut(p, "[")
		if n, err := strconv.Atoi(strings.TrimSuffix(index, "]")); listed && err == nil {
			out += fmt.Sprintf(" (number %d of the %s)", n+1, strings.ReplaceAll(of, "_", " "))
		}
	}
	return strings.ToUpper(out[:1]) + out[1:]
}

// told is one sentence a field.
func told(details []*huma.ErrorDetail) string {
	said := make([]string, 0, len(details))
	for i, d := range details {
		if i == 5 {
			said = append(said, fmt.Sprintf("And %d more.", len(details)-i))
			break
		}
		said = append(said, fieldName(d.Location)+" "+d.Message+".")
	}
	return strings.Join(said, " ")
}
