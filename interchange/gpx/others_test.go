package gpx

import (
	"testing"

	"greypebble/interchange/feature"
	"greypebble/interchange/feature/featuretest"
)

func TestBesideOpenLayers(t *testing.T) {
	featuretest.BesideOpenLayers(t, "gpx", func(l []feature.Feature) ([]byte, error) { return Write(l, "a check") }, Read)
}
