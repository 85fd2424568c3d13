// Package sim stands in for services and devices outside: a forecast service
// and a sounder, with made-up weather and water, able to fail on purpose.
package sim

import (
	"fmt"
	"slices"
	"strings"
)

// Fault is a way to fail.
type Fault string

// Faults of the forecast service and of the sounder.
const (
	None      Fault = "none"
	Slow      Fault = "slow"      // answers after a long wait
	Fails     Fault = "500"       // internal error
	Garbage   Fault = "garbage"   // something else than was asked for
	Stale     Fault = "stale"     // the forecast of three days ago
	Truncated Fault = "truncated" // cut in the middle of a line
	Checksums Fault = "checksums" // a sounder whose line is noisy
)

// Faults in the order they are told.
var Faults = []Fault{None, Slow, Fails, Garbage, Stale, Truncated, Checksums}

// ParseFault refuses one it does not know and lists those it does.
func ParseFault(s string) (Fault, error) {
	if s == "" {
		return None, nil
	}
	f := Fault(s)
	if !slices.Contains(Faults, f) {
		names := make([]string, len(Faults))
		for i, k := range Faults {
			names[i] = string(k)
		}
		return None, fmt.Errorf("sim: unknown fault %q; known are %s", s, strings.Join(names, ", "))
	}
	return f, nil
}
