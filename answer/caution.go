package answer

import "greypebble/core/going"

// CautionOut is one thing to mind.
type CautionOut struct {
	ID       string `json:"id"`
	Severity string `json:"severity" enum:"note,think,do not"`
	Says     string `json:"says"`
}

// Cautions as they are sent; never nil.
func Cautions(list []going.Caution) []CautionOut {
	out := make([]CautionOut, len(list))
	for i, c := range list {
		out[i] = CautionOut{c.ID, c.Severity.String(), c.Says}
	}
	return out
}
