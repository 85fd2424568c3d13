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
