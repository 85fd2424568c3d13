package ground

import (
	"fmt"
	"slices"
	"strings"
)

// Places are the kinds of spot that are told apart.
var Places = []string{"oyster bar", "grass flat", "mud flat", "overhung bank", "timbered creek", "dug canal", "back lake",
	"surf beach", "pier", "jetty", "seawall", "rocky shore", "reef", "ledge", "harbour mouth", "river bend", "estuary"}

// Bottoms a mark may have.
var Bottoms = []string{"shell", "sand", "mud", "grass", "rock", "timber"}

// KnownBottom says whether a bottom is one of [Bottoms], or not said.
func KnownBottom(bottom string) bool { return bottom == "" || slices.Contains(Bottoms, bottom) }

// UnknownBottom is the error of one that is not.
func UnknownBottom(bottom string) error {
	return fmt.Errorf("ground: unknown bottom %q; known are %s", bottom, strings.Join(Bottoms, ", "))
}
