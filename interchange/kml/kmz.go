package kml

import (
	"archive/zip"
	"bytes"
	"fmt"
	"io"
	"path"
	"strings"
)

const (
	// mostUnpacked bytes are taken out of a packed file: a small one may hold a huge one.
	mostUnpacked = 64 << 20
	// mostPacked files are looked at.
	mostPacked = 1000
)

// unpacked is the first KML of a packed file, whose other files are pictures and the like;
// what is not packed comes back as it is.
func unpacked(raw []byte) ([]byte, error) {
	if !bytes.HasPrefix(raw, []byte("PK\x03\x04")) {
		return raw, nil
	}
	z, err := zip.NewReader(bytes.NewReader(raw), int64(len(raw)))
	if err != nil {
		return nil, fmt.Errorf("kml: the packed file is damaged; unpack it first and send the .kml in it")
	}
	for i, f := range z.File {
		if i == mostPacked {
			break
		}
		if !strings.EqualFold(path.Ext(f.Name), ".kml") {
			continue
		}
		r, err := f.Open()
		if err != nil {
			return nil, fmt.Errorf("kml: %q in the packed file is damaged; unpack it first and send the .kml in it", f.Name)
		}
		defer r.Close()
		out, err := io.ReadAll(io.LimitReader(r, mostUnpacked+1))
		switch {
		case err != nil:
			return nil, fmt.Errorf("kml: %q in the packed file is damaged; unpack it first and send the .kml in it", f.Name)
		case len(out) > mostUnpacked:
			return nil, fmt.Errorf("kml: %q unpacks to more than %d MB; send it in parts", f.Name, mostUnpacked>>20)
		}
		return out, nil
	}
	return nil, fmt.Errorf("kml: the packed file holds no .kml")
}
