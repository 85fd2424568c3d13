package picture

import (
	"bytes"
	"errors"
	"fmt"
	"image"
	"image/color"
	"image/jpeg"
	"image/png"

	"golang.org/x/image/draw"
)

const (
	// LargestFile that is taken, bytes.
	LargestFile = 12 << 20
	// LargestKept of a picture, bytes, and of its thumbnail.
	LargestKept, LargestThumb = 400_000, 24_000
	// mostPixels of a JPEG, and of a PNG, which takes more room while it is read.
	mostPixels, mostPNG = 52_000_000, 26_000_000
	// longSide of what is kept, and of its thumbnail, pixels.
	longSide, thumbSide = 1600, 240
)

// Picture as it is kept: JPEG, upright, without what the camera wrote beside it.
type Picture struct {
	Image, Thumb  []byte
	Width, Height int
	Taken         Taken
}

// Read a photo (JPEG or PNG). It needs a few bytes for each of its pixels, mostPixels at most; the error says what is
// wrong with it.
func Read(raw []byte) (*Picture, error) {
	if len(raw) > LargestFile {
		return nil, fmt.Errorf("the photo has %.1f MB; at most %d are taken", float64(len(raw))/(1<<20), LargestFile>>20)
	}
	kind, err := kindOf(raw)
	if err != nil {
		return nil, err
	}
	head, decode, most := jpeg.DecodeConfig, jpeg.Decode, mostPixels
	if kind == "png" {
		head, decode, most = png.DecodeConfig, png.Decode, mostPNG
	}
	size, err := head(bytes.NewReader(raw))
	if err != nil {
		return nil, fmt.Errorf("the photo cannot be read: %w", err)
	}
	if size.Width*size.Height > most {
		return nil, fmt.Errorf("the photo has %d × %d pixels; at most %d million are taken", size.Width, size.Height, most/1_000_000)
	}
	img, err := decode(bytes.NewReader(raw))
	if err != nil {
		return nil, fmt.Errorf("the photo is cut off or damaged: %w", err)
	}
	taken, turned := told(raw)
	small := upright(fit(img, longSide), turned)
	p := &Picture{Taken: taken}
	if p.Image, small, err = within(small, LargestKept); err != nil {
		return nil, err
	}
	p.Width, p.Height = small.Bounds().Dx(), small.Bounds().Dy()
	p.Thumb, _, err = within(fit(small, thumbSide), LargestThumb)
	return p, err
}

// kindOf a file by how it begins (JPEG: ISO/IEC 10918-1, PNG: ISO/IEC 15948, HEIC and AVIF: ISO/IEC 23008-12 in a box
// file as in ISO/IEC 14496-12).
func kindOf(raw []byte) (string, error) {
	switch {
	case bytes.HasPrefix(raw, []byte{0xff, 0xd8, 0xff}):
		return "jpeg", nil
	case bytes.HasPrefix(raw, []byte("\x89PNG\r\n\x1a\n")):
		return "png", nil
	case len(raw) >= 12 && string(raw[4:8]) == "ftyp":
		return "", errors.New("this is an HEIC photo, or another of its family, which is not read here: set the camera to save " +
			"“most compatible” pictures, or send it as JPEG")
	}
	return "", errors.New("expected a JPEG or PNG photo")
}

// fit a picture into a square, never enlarged.
func fit(img image.Image, side int) *image.RGBA {
	w, h := img.Bounds().Dx(), img.Bounds().Dy()
	if long := max(w, h); long > side {
		w, h = max(1, w*side/long), max(1, h*side/long)
	}
	out := image.NewRGBA(image.Rect(0, 0, w, h))
	draw.Draw(out, out.Bounds(), image.NewUniform(color.White), image.Point{}, draw.Src) // behind what is seen through
	draw.BiLinear.Scale(out, out.Bounds(), img, img.Bounds(), draw.Over, nil)
	return out
}

// upright turns and mirrors a picture as its orientation says (Exif 2.32, tag 0x0112: 1 is as it should be).
func upright(img *image.RGBA, orientation int) *image.RGBA {
	if orientation <= 1 || orientation > 8 {
		return img
	}
	w, h := img.Bounds().Dx(), img.Bounds().Dy()
	out := image.NewRGBA(image.Rect(0, 0, w, h))
	if orientation >= 5 {
		out = image.NewRGBA(image.Rect(0, 0, h, w))
	}
	for y := range h {
		for x := range w {
			tx, ty := x, y
			switch orientation {
			case 2:
				tx = w - 1 - x
			case 3:
				tx, ty = w-1-x, h-1-y
			case 4:
				ty = h - 1 - y
			case 5:
				tx, ty = y, x
			case 6:
				tx, ty = h-1-y, x
			case 7:
				tx, ty = h-1-y, w-1-x
			case 8:
				tx, ty = y, w-1-x
			}
			copy(out.Pix[out.PixOffset(tx, ty):][:4], img.Pix[img.PixOffset(x, y):][:4])
		}
	}
	return out
}

// within so many bytes: as good as fits, and smaller where even a poor one does not.
func within(img *image.RGBA, most int) ([]byte, *image.RGBA, error) {
	for {
		for _, quality := range []int{86, 76, 64, 50} {
			var b bytes.Buffer
			if err := jpeg.Encode(&b, img, &jpeg.Options{Quality: quality}); err != nil {
				return nil, nil, err
			}
			if b.Len() <= most {
				return b.Bytes(), img, nil
			}
		}
		img = fit(img, max(img.Bounds().Dx(), img.Bounds().Dy())*3/4)
	}
}
