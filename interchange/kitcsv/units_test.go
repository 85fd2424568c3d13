package kitcsv

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

func TestAKitInOuncesAndPounds(t *testing.T) {
	list, err := Read([]byte("kind,name,offering,weight_oz,length_in\nlure,Spoon,metal-spoon,0.5,3\n"))
	require.NoError(t, err)
	assert.InDelta(t, 0.0141747615625, list[0].WeightKg, 1e-12)
	assert.InDelta(t, 0.0762, list[0].LengthM, 1e-12)
	list, err = Read([]byte("kind,name,material,break_lb,diameter_in\nline,Braid,braid,20,0.009\n"))
	require.NoError(t, err)
	assert.InDelta(t, 88.964432, list[0].BreakN, 1e-6)
	_, err = Read([]byte("kind,name,offering,weight_oz,weight_kg\nlure,Spoon,metal-spoon,0.5,1\n"))
	assert.ErrorContains(t, err, "says the same as weight_kg")
}
