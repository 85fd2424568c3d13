package geojson

import (
	"testing"

	"greypebble/interchange/feature/featuretest"
)

func TestBesideOpenLayers(t *testing.T) {
	featuretest.BesideOpenLayers(t, "geojson", Write, Read)
}
