package kml

import (
	"testing"

	"greypebble/interchange/feature/featuretest"
)

func TestBesideOpenLayers(t *testing.T) {
	featuretest.BesideOpenLayers(t, "kml", Write, Read)
}
