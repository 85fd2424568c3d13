package web

import (
	"bytes"
	"context"
	"encoding/json"

	"github.com/danielgtaylor/huma/v2"
	"github.com/maypok86/otter/v2"
)

// Kept are answers written out once and sent again to whoever asks the same of the same.
// What they rest on is in their key, so that nothing need be told when it changes; several
// copies of the server each keep their own.
type Kept[K comparable] struct {
	cache *otter.Cache[K, json.RawMessage]
}

// NewKept keeps up to so many bytes.
func NewKept[K comparable](most uint64) Kept[K] {
	return Kept[K]{otter.Must(&otter.Options[K, json.RawMessage]{MaximumWeight: most,
		Weigher: func(_ K, raw json.RawMessage) uint32 { return uint32(min(uint64(len(raw)), most)) }})} //nolint:gosec // bounded
}

// Send the answer of a key; work out makes its body where it is not kept, once however many
// ask for it meanwhile.
func (k Kept[K]) Send(ctx context.Context, key K, workOut func(context.Context) (any, error)) error {
	raw, err := k.cache.Get(ctx, key, otter.LoaderFunc[K, json.RawMessage](func(ctx context.Context, _ K) (json.RawMessage, error) {
		body, err := workOut(ctx)
		if err != nil {
			return nil, err
		}
		var b bytes.Buffer
		if err := huma.DefaultJSONFormat.Marshal(&b, body); err != nil {
			return nil, err
		}
		return b.Bytes(), nil
	}))
	if err != nil {
		return err
	}
	if a, ok := ctx.Value(answerKey{}).(*writtenOut); ok {
		a.raw = raw
	}
	return nil
}
