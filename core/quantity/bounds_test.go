package quantity

import (
	"testing"

	"github.com/stretchr/testify/assert"
)

func TestBoundsGoByNameThenByUnit(t *testing.T) {
	for name, want := range map[string]Bounds{"lat": {-90, 90}, "amplitude_m": {0, 20}, "new_ms": {-100, 100},
		"new_kg_m3": {0, 23_000}, "new_m": {-11_000, 100_000}} {
		got, ok := BoundsOf(name)
		assert.True(t, ok, name)
		assert.Equal(t, want, got, name)
	}
	_, ok := BoundsOf("colour")
	assert.False(t, ok)
	for name, b := range fields {
		assert.Less(t, b.Least, b.Most, name)
	}
}
