package prose

import (
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
)

func TestNamesInSentences(t *testing.T) {
	assert.Equal(t, "the crest", WithArticle("Crest"))
	assert.Equal(t, "The Combs", WithArticle("The Combs"), "it has one already")
	assert.Equal(t, "Cast along it", Capital("cast along it"))
	for _, f := range []func(string) string{LowerFirst, Capital} {
		assert.Empty(t, f(""))
	}
}

func TestStretchesOfTime(t *testing.T) {
	for d, want := range map[time.Duration]string{0: "0 min", 59 * time.Minute: "59 min", time.Hour: "1 h", 65 * time.Minute: "1 h 05 min",
		26 * time.Hour: "26 h"} {
		assert.Equal(t, want, Lasting(d))
	}
}

func TestListsAndCounts(t *testing.T) {
	assert.Equal(t, "", And(nil))
	assert.Equal(t, "a", And([]string{"a"}))
	assert.Equal(t, "a and b", And([]string{"a", "b"}))
	assert.Equal(t, "a, b and c", And([]string{"a", "b", "c"}))
	assert.Equal(t, "no catches", Count(0, "catch", "catches"))
	assert.Equal(t, "1 catch", Count(1, "catch", "catches"))
	assert.Equal(t, "12 catches", Count(12, "catch", "catches"))
}
