package web

import (
	"bytes"
	"errors"
	"fmt"
	"io"
	"mime"
	"mime/multipart"
	"strings"
	"time"
)

// Uploaded is the file in a body: the first one of a form (multipart/form-data), or the
// body itself.
func Uploaded(contentType string, raw []byte) ([]byte, error) {
	kind, params, err := mime.ParseMediaType(contentType)
	if err != nil || !strings.HasPrefix(kind, "multipart/") {
		return raw, nil
	}
	form := multipart.NewReader(bytes.NewReader(raw), params["boundary"])
	for {
		part, err := form.NextPart()
		if errors.Is(err, io.EOF) {
			return nil, Wrong("body", errors.New("the form holds no file; expected one part with a file name"))
		}
		if err != nil {
			return nil, Wrong("body", errors.New("the form is damaged; expected multipart/form-data with one file"))
		}
		if part.FileName() != "" {
			return io.ReadAll(part)
		}
	}
}

// File is an answer that is a file.
type File struct {
	ContentType        string `header:"Content-Type"`
	ContentDisposition string `header:"Content-Disposition"`
	Body               []byte
}

// Attached is a file to be kept under a name.
func Attached(name, contentType string, raw []byte) *File {
	return &File{ContentType: contentType, ContentDisposition: fmt.Sprintf("attachment; filename=%q", name), Body: raw}
}

// Zone by its name; nil for none.
func Zone(name string) (*time.Location, error) {
	if name == "" {
		return nil, nil
	}
	zone, err := time.LoadLocation(name)
	if err != nil {
		return nil, Wrong("query.time_zone", fmt.Errorf("unknown time zone %s; expected a name like Atlantic/Azores", name))
	}
	return zone, nil
}
