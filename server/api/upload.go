package api

import (
	"bytes"
	"errors"
	"io"
	"mime"
	"mime/multipart"
	"strings"
)

// uploaded is the file in a body: the first one of a form (multipart/form-data),
// or the body itself.
func uploaded(contentType string, raw []byte) ([]byte, error) {
	kind, params, err := mime.ParseMediaType(contentType)
	if err != nil || !strings.HasPrefix(kind, "multipart/") {
		return raw, nil
	}
	form := multipart.NewReader(bytes.NewReader(raw), params["boundary"])
	for {
		part, err := form.NextPart()
		if errors.Is(err, io.EOF) {
			return nil, wrong("body", errors.New("the form holds no file; expected one part with a file name"))
		}
		if err != nil {
			return nil, wrong("body", errors.New("the form is damaged; expected multipart/form-data with one file"))
		}
		if part.FileName() != "" {
			return io.ReadAll(part)
		}
	}
}
