package picture_test

import (
	"bytes"
	"encoding/binary"
	"image"
	"image/color"
	"image/jpeg"
	"image/png"
	"math/rand/v2"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"greypebble/interchange/picture"
	"greypebble/interchange/picture/phototest"
)

// quarters is a picture whose corners differ: red, green over blue, white.
func quarters(w, h int) *image.RGBA {
	img := image.NewRGBA(image.Rect(0, 0, w, h))
	for y := range h {
		for x := range w {
			c := color.RGBA{255, 0, 0, 255}
			switch {
			case x >= w/2 && y < h/2:
				c = color.RGBA{0, 255, 0, 255}
			case x < w/2 && y >= h/2:
				c = color.RGBA{0, 0, 255, 255}
			case x >= w/2:
				c = color.RGBA{255, 255, 255, 255}
			}
			img.Set(x, y, c)
		}
	}
	return img
}

func jpegOf(t *testing.T, img image.Image) []byte {
	var b bytes.Buffer
	require.NoError(t, jpeg.Encode(&b, img, &jpeg.Options{Quality: 95}))
	return b.Bytes()
}

// told of a photo at 38°30′36″ N, 31°15′0″ W, looking 225.5°.
var told = phototest.Exif{Time: "2026:11:20 07:42:10", Offset: "-02:00", Orientation: 6, LatRef: "N", LonRef: "W",
	Lat: [3]uint32{38, 30, 36}, Lon: [3]uint32{31, 15, 0}, Heading10: 2255}

func TestAPhotoIsKeptSmallUprightAndWithoutAWord(t *testing.T) {
	raw := phototest.With(jpegOf(t, quarters(2400, 1600)), told)
	p, err := picture.Read(raw)
	require.NoError(t, err)
	// Orientation 6: the camera was held upright, the picture is turned to the right.
	assert.Equal(t, []int{1066, 1600}, []int{p.Width, p.Height})
	img, err := jpeg.Decode(bytes.NewReader(p.Image))
	require.NoError(t, err)
	corner := func(x, y int) [3]bool {
		r, g, b, _ := img.At(x, y).RGBA()
		return [3]bool{r > 1<<15, g > 1<<15, b > 1<<15}
	}
	assert.Equal(t, [3]bool{false, false, true}, corner(50, 50), "blue is now above on the left")
	assert.Equal(t, [3]bool{true, false, false}, corner(1000, 50))
	assert.Equal(t, [3]bool{true, true, true}, corner(50, 1550))
	assert.Equal(t, [3]bool{false, true, false}, corner(1000, 1550))
	thumb, err := jpeg.DecodeConfig(bytes.NewReader(p.Thumb))
	require.NoError(t, err)
	assert.Equal(t, 240, thumb.Height)
	for _, out := range [][]byte{p.Image, p.Thumb} {
		assert.NotContains(t, string(out), "Exif")
		assert.NotContains(t, string(out), "2026:11:20")
		assert.NotContains(t, string(out), "\xff\xe1", "no part of an application's own but the JPEG's")
	}
	at := p.Taken.At(time.UTC)
	require.NotNil(t, at)
	assert.Equal(t, "2026-11-20T09:42:10Z", at.Format(time.RFC3339), "its own offset counts, whatever the water's zone")
	assert.InDelta(t, 38.51, *p.Taken.Lat, 1e-9)
	assert.InDelta(t, -31.25, *p.Taken.Lon, 1e-9)
	assert.InDelta(t, 225.5, *p.Taken.Heading, 1e-9)
}

func TestACameraWithoutAnOffsetShowsTheWatersClock(t *testing.T) {
	e := told
	e.Offset = ""
	p, err := picture.Read(phototest.With(jpegOf(t, quarters(60, 40)), e))
	require.NoError(t, err)
	zone, err := time.LoadLocation("Atlantic/Azores")
	require.NoError(t, err)
	assert.Equal(t, "2026-11-20T08:42:10Z", p.Taken.At(zone).Format(time.RFC3339))
	assert.Equal(t, []int{40, 60}, []int{p.Width, p.Height}, "never enlarged")

	e.Time = "0000:00:00 00:00:00"
	p, err = picture.Read(phototest.With(jpegOf(t, quarters(60, 40)), e))
	require.NoError(t, err)
	assert.Nil(t, p.Taken.At(zone), "a clock that was never set tells nothing")
	p, err = picture.Read(jpegOf(t, quarters(60, 40)))
	require.NoError(t, err)
	assert.Equal(t, picture.Taken{}, p.Taken)
}

// All eight ways a camera may be held come out alike: the picture a person saw.
func TestEveryOrientationComesUpright(t *testing.T) {
	seen := quarters(80, 40)
	stored := func(orientation int) *image.RGBA { // as the camera writes what is seen
		w, h := 80, 40
		if orientation >= 5 {
			w, h = 40, 80
		}
		out := image.NewRGBA(image.Rect(0, 0, w, h))
		for y := range h {
			for x := range w {
				// Exif 2.32, table 4.6.4A: where row 0 and column 0 of the stored picture lie in what is seen.
				at := map[int]image.Point{1: {X: x, Y: y}, 2: {X: 79 - x, Y: y}, 3: {X: 79 - x, Y: 39 - y}, 4: {X: x, Y: 39 - y},
					5: {X: y, Y: x}, 6: {X: 79 - y, Y: x}, 7: {X: 79 - y, Y: 39 - x}, 8: {X: y, Y: 39 - x}}[orientation]
				out.Set(x, y, seen.At(at.X, at.Y))
			}
		}
		return out
	}
	for orientation := 1; orientation <= 8; orientation++ {
		p, err := picture.Read(phototest.With(jpegOf(t, stored(orientation)), phototest.Exif{Orientation: uint16(orientation)}))
		require.NoError(t, err)
		img, err := jpeg.Decode(bytes.NewReader(p.Image))
		require.NoError(t, err)
		require.Equal(t, image.Pt(80, 40), img.Bounds().Size(), orientation)
		for _, at := range []image.Point{{X: 10, Y: 10}, {X: 70, Y: 10}, {X: 10, Y: 30}, {X: 70, Y: 30}} {
			r, g, b, _ := img.At(at.X, at.Y).RGBA()
			wr, wg, wb, _ := seen.At(at.X, at.Y).RGBA()
			assert.InDelta(t, wr, r, 1<<13, "%d at %s", orientation, at)
			assert.InDelta(t, wg, g, 1<<13, "%d at %s", orientation, at)
			assert.InDelta(t, wb, b, 1<<13, "%d at %s", orientation, at)
		}
	}
}

// However busy a photo is, it is kept within its bounds.
func TestABusyPhotoFits(t *testing.T) {
	img := image.NewRGBA(image.Rect(0, 0, 3000, 2000))
	lots := rand.NewChaCha8([32]byte{1})
	for i := 0; i < len(img.Pix); i += 8 {
		binary.LittleEndian.PutUint64(img.Pix[i:], lots.Uint64()|0xff000000ff000000)
	}
	p, err := picture.Read(jpegOf(t, img))
	require.NoError(t, err)
	assert.LessOrEqual(t, len(p.Image), picture.LargestKept)
	assert.LessOrEqual(t, len(p.Thumb), picture.LargestThumb)
	again, err := jpeg.DecodeConfig(bytes.NewReader(p.Image))
	require.NoError(t, err)
	assert.Equal(t, []int{p.Width, p.Height}, []int{again.Width, again.Height}, "its size is what is said")
}

func TestAPNGComesOnWhite(t *testing.T) {
	var b bytes.Buffer
	require.NoError(t, png.Encode(&b, image.NewNRGBA(image.Rect(0, 0, 30, 20))))
	p, err := picture.Read(b.Bytes())
	require.NoError(t, err)
	img, err := jpeg.Decode(bytes.NewReader(p.Image))
	require.NoError(t, err)
	r, _, _, _ := img.At(10, 10).RGBA()
	assert.Greater(t, r, uint32(0xf000))
}

func TestWhatIsNoPhotoIsSaid(t *testing.T) {
	whole := jpegOf(t, quarters(600, 400))
	var huge bytes.Buffer
	require.NoError(t, png.Encode(&huge, image.NewGray(image.Rect(0, 0, 8000, 4000))))
	for says, raw := range map[string][]byte{
		"HEIC":                     []byte("\x00\x00\x00\x18ftypheic\x00\x00\x00\x00"),
		"expected a JPEG or PNG":   []byte("%PDF-1.7"),
		"cut off or damaged":       whole[:len(whole)/2],
		"at most 12 are taken":     append(whole, make([]byte, picture.LargestFile)...),
		"at most 26 million":       huge.Bytes(),
		"the photo cannot be read": {0xff, 0xd8, 0xff, 0xe0},
	} {
		_, err := picture.Read(raw)
		assert.ErrorContains(t, err, says)
	}
}

func FuzzRead(f *testing.F) {
	var b bytes.Buffer
	_ = jpeg.Encode(&b, quarters(16, 8), nil)
	f.Add(phototest.With(b.Bytes(), told))
	f.Add(b.Bytes())
	var p bytes.Buffer
	_ = png.Encode(&p, quarters(16, 8))
	f.Add(p.Bytes())
	f.Fuzz(func(t *testing.T, raw []byte) {
		p, err := picture.Read(raw)
		if err != nil {
			return
		}
		if len(p.Image) > picture.LargestKept || len(p.Thumb) > picture.LargestThumb {
			t.Fatal("too large")
		}
		if p.Taken.Lat != nil && (*p.Taken.Lat < -90 || *p.Taken.Lat > 90) {
			t.Fatal("no latitude")
		}
	})
}
