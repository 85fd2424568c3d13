package web

import (
	"bytes"
	"context"
	"encoding/json"
	"fmt"
	"io"
	"reflect"

	"github.com/danielgtaylor/huma/v2"
)

// Answers are written out before their first byte is sent: one that cannot be (a number
// that came out infinite) is a problem document, not half an answer under "200 OK".

type answerKey struct{}

// writtenOut is an answer that was written out by its handler's wrapper, on its way to the wire.
type writtenOut struct{ raw json.RawMessage }

// Answering gives an API's JSON its way through; for the configuration of the API.
func Answering(c *huma.Config) {
	c.Formats = map[string]huma.Format{}
	for name := range huma.DefaultFormats {
		c.Formats[name] = huma.Format{Marshal: write, Unmarshal: json.Unmarshal}
	}
	c.Transformers = append(c.Transformers, func(ctx huma.Context, _ string, v any) (any, error) {
		if a, ok := ctx.Context().Value(answerKey{}).(*writtenOut); ok && a.raw != nil {
			if _, failed := v.(error); !failed {
				return a.raw, nil
			}
		}
		return v, nil
	})
}

func write(w io.Writer, v any) error {
	if raw, ok := v.(json.RawMessage); ok {
		_, err := w.Write(raw)
		return err
	}
	return huma.DefaultJSONFormat.Marshal(w, v)
}

// carry lets the wrapper of a handler hand over what it wrote.
func carry(ctx huma.Context, next func(huma.Context)) {
	next(huma.WithValue(ctx, answerKey{}, &writtenOut{}))
}

// writeOut the body of an output, if it has one that is JSON.
func writeOut(ctx context.Context, out any) error {
	a, ok := ctx.Value(answerKey{}).(*writtenOut)
	if !ok || a.raw != nil {
		return nil
	}
	v := reflect.ValueOf(out)
	if !v.IsValid() || v.Kind() != reflect.Pointer || v.IsNil() {
		return nil
	}
	body := v.Elem().FieldByName("Body")
	if !body.IsValid() || body.Kind() == reflect.Func || body.Type() == reflect.TypeFor[[]byte]() {
		return nil
	}
	var b bytes.Buffer
	if err := huma.DefaultJSONFormat.Marshal(&b, body.Interface()); err != nil {
		return fmt.Errorf("web: the answer cannot be written: %w", err)
	}
	a.raw = b.Bytes()
	return nil
}
