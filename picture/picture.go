// Package picture makes a person's photograph fit to keep: turned the right way up, no larger
// than is shown, and with nothing in it but the picture.
package picture

import (
	"bytes"
	"errors"
	"fmt"
	"image"
	"image/jpeg"

	_ "image/png" // registers the decoder

	"github.com/disintegration/imaging"
	_ "golang.org/x/image/webp" // registers the decoder
)

// MaxBytes is the largest file that is taken.
const MaxBytes = 10 << 20

// Bounds on what is decoded and kept, in pixels.
const (
	maxPixels     = 60e6 // more is no photograph but a way to fill the memory
	longestSide   = 1600
	thumbnailSide = 320
	quality       = 82
)

// Errors of a file that cannot be kept.
var (
	ErrSize = errors.New("larger than 10 MB")
	ErrKind = errors.New("not a JPEG, PNG or WebP picture")
)

// Fit decodes a JPEG, PNG or WebP file and returns it as JPEG, at most 1600 pixels on a side,
// with a thumbnail of at most 320. The pictures are encoded anew, so whatever the file said of
// place, time and camera is gone; a photograph lying on its side is turned first. Errors wrap
// ErrSize or ErrKind.
func Fit(data []byte) (full, thumbnail []byte, err error) {
	if len(data) > MaxBytes {
		return nil, nil, ErrSize
	}
	config, format, err := image.DecodeConfig(bytes.NewReader(data))
	if err != nil || format != "jpeg" && format != "png" && format != "webp" {
		return nil, nil, ErrKind
	}
	if float64(config.Width)*float64(config.Height) > maxPixels {
		return nil, nil, fmt.Errorf("%w: %d by %d pixels", ErrSize, config.Width, config.Height)
	}
	img, err := imaging.Decode(bytes.NewReader(data), imaging.AutoOrientation(true))
	if err != nil {
		return nil, nil, fmt.Errorf("%w: it breaks off or is damaged", ErrKind)
	}
	if full, err = shrunk(img, longestSide); err != nil {
		return nil, nil, err
	}
	thumbnail, err = shrunk(img, thumbnailSide)
	return full, thumbnail, err
}

func shrunk(img image.Image, side int) ([]byte, error) {
	if b := img.Bounds(); b.Dx() > side || b.Dy() > side {
		img = imaging.Fit(img, side, side, imaging.CatmullRom)
	}
	var out bytes.Buffer
	err := jpeg.Encode(&out, img, &jpeg.Options{Quality: quality})
	return out.Bytes(), err
}
