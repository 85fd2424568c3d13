package testkit

import (
	"bytes"
	"image"
	"image/color"
	"image/jpeg"
	"net/http"

	"github.com/stretchr/testify/require"

	"greypebble/interchange/picture/phototest"
)

// APhoto of a made-up fish on a board, as a camera at the invented coast would write it: JPEG with Exif.
func APhoto() []byte {
	img := image.NewRGBA(image.Rect(0, 0, 1200, 800))
	for y := range 800 {
		for x := range 1200 {
			c := color.RGBA{R: uint8(150 + x/20), G: uint8(140 + y/16), B: 120, A: 255}
			dx, dy := float64(x-560)/380, float64(y-400)/130
			switch {
			case dx*dx+dy*dy < 1:
				c = color.RGBA{R: uint8(170 + 40*dy), G: uint8(110 + 30*dy), B: 70, A: 255}
			case x > 880 && x < 1060 && (y-400)*(y-400) < (x-860)*(x-860):
				c = color.RGBA{R: 160, G: 100, B: 66, A: 255}
			}
			if ex, ey := x-280, y-370; ex*ex+ey*ey < 200 {
				c = color.RGBA{A: 255}
			}
			img.SetRGBA(x, y, c)
		}
	}
	var b bytes.Buffer
	_ = jpeg.Encode(&b, img, nil)
	return phototest.With(b.Bytes(), phototest.Exif{Time: "2026:11:19 01:05:00", Orientation: 1, LatRef: "N", LonRef: "W",
		Lat: [3]uint32{38, 30, 0}, Lon: [3]uint32{31, 0, 0}, Heading10: 1800})
}

// PutPhoto sends a picture, and returns the answer's status.
func (c *Client) PutPhoto(path string, raw []byte) int {
	req, err := http.NewRequest("PUT", c.base+path, bytes.NewReader(raw))
	require.NoError(c.t, err)
	req.Header.Set("Content-Type", "image/jpeg")
	res, err := c.Send(req)
	require.NoError(c.t, err)
	require.NoError(c.t, res.Body.Close())
	return res.StatusCode
}
