package testkit

import (
	"fmt"
	"maps"
	"math"
	"slices"
	"time"
)

// What two answers may differ by and still be the same to the last digit anybody is shown: a crossing is
// found to a twentieth of a second, from wherever the search began.
const (
	sameNumber = 1e-5
	sameTime   = 200 * time.Millisecond
)

// Differs says where two answers, as JSON is decoded, are not the same; empty where they are.
func Differs(at string, a, b any) (out []string) {
	switch x := a.(type) {
	case map[string]any:
		y, is := b.(map[string]any)
		if !is {
			break
		}
		for _, k := range slices.Sorted(maps.Keys(x)) {
			out = append(out, Differs(at+"."+k, x[k], y[k])...)
		}
		for k := range y {
			if _, there := x[k]; !there {
				out = append(out, at+"."+k+" is only in the second")
			}
		}
		return out
	case []any:
		y, is := b.([]any)
		if !is || len(x) != len(y) {
			break
		}
		for i := range x {
			out = append(out, Differs(fmt.Sprintf("%s[%d]", at, i), x[i], y[i])...)
		}
		return out
	case float64:
		if y, is := b.(float64); is && math.Abs(x-y) <= sameNumber*max(1e-3, math.Abs(x), math.Abs(y)) {
			return nil
		}
	case string:
		y, is := b.(string)
		if is && x == y {
			return nil
		}
		t, err := time.Parse(time.RFC3339Nano, x)
		u, other := time.Parse(time.RFC3339Nano, y)
		if err == nil && other == nil && t.Sub(u).Abs() <= sameTime {
			return nil
		}
	default:
		if a == b {
			return nil
		}
	}
	return append(out, fmt.Sprintf("%s: %v, %v", at, a, b))
}
