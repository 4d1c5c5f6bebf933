// Package picture makes a person's photograph fit to keep: turned the right way up, no larger
// than is shown, and with nothing in it but the picture.
package picture

import (
	"bytes"
	"errors"
	"fmt"
	"image"
	"image/color"
	"image/jpeg"
	"image/png"
	"io"
	"math"
	"net/http"

	"github.com/kovidgoyal/imaging"
	"golang.org/x/image/webp"
)

// MaxBytes is the largest file that is taken.
const MaxBytes = 10 << 20

// Bounds on what is decoded and kept.
const (
	maxDecoded    = 44 << 20 // bytes that decoding and shrinking may take
	longestSide   = 1600     // pixels
	thumbnailSide = 320
	quality       = 82
)

// Errors of a file that cannot be kept.
var (
	ErrSize = errors.New("larger than 10 MB")
	ErrKind = errors.New("not a JPEG, PNG or WebP picture")
	ErrWide = errors.New("more pixels than can be shrunk here")
)

// asJPEG and the others are the kinds that are taken, as they are recognised.
const (
	asJPEG = "image/jpeg"
	asPNG  = "image/png"
	asWebP = "image/webp"
)

// decoders are those of the kinds that are taken, and no others: a library may know of more.
var decoders = map[string]struct {
	config func(io.Reader) (image.Config, error)
	image  func(io.Reader) (image.Image, error)
}{
	asJPEG: {jpeg.DecodeConfig, jpeg.Decode},
	asPNG:  {png.DecodeConfig, png.Decode},
	asWebP: {webp.DecodeConfig, webp.Decode},
}

// Fit decodes a JPEG, PNG or WebP file and returns it as JPEG, at most 1600 pixels on a side,
// with a thumbnail of at most 320. The pictures are encoded anew, so whatever the file said of
// place, time and camera is gone; a photograph lying on its side is turned. Pixels are counted before
// they are decoded, by what each takes in memory: twelve megapixels of a camera's JPEG pass, and half as
// many of a screenshot. Errors wrap ErrSize, ErrKind or ErrWide.
func Fit(data []byte) (full, thumbnail []byte, err error) {
	if len(data) > MaxBytes {
		return nil, nil, ErrSize
	}
	kind := http.DetectContentType(data)
	read, known := decoders[kind]
	if !known {
		return nil, nil, ErrKind
	}
	config, err := read.config(bytes.NewReader(data))
	if err != nil {
		return nil, nil, ErrKind
	}
	upright := 1
	perPixel := pixelBytes(kind, config.ColorModel, data)
	if kind == asJPEG {
		upright = readJPEGHead(data).orientation
	}
	if takes(config.Width, config.Height, perPixel) > maxDecoded {
		return nil, nil, fmt.Errorf("%w: %d by %d; shrink it to about %d megapixels first", ErrWide, config.Width,
			config.Height, mostMegapixels(perPixel))
	}
	img, err := read.image(bytes.NewReader(data))
	if err != nil {
		return nil, nil, fmt.Errorf("%w: it breaks off or is damaged", ErrKind)
	}
	// Shrunk before it is turned: turning takes a copy of all there is.
	img = turned(shrunk(img, longestSide), upright)
	if full, err = encoded(img); err != nil {
		return nil, nil, err
	}
	thumbnail, err = encoded(shrunk(img, thumbnailSide))
	return full, thumbnail, err
}

// pixelBytes is what a pixel takes while it is decoded.
func pixelBytes(kind string, model color.Model, data []byte) float64 {
	switch kind {
	case asJPEG:
		h := readJPEGHead(data)
		if h.progressive {
			// Its coefficients are gathered first, four bytes each.
			return 5 * h.samples
		}
		return h.samples
	case asWebP:
		if model == color.YCbCrModel {
			return 3
		}
		return 8
	}
	bytes := 4.0
	switch model {
	case color.RGBA64Model, color.NRGBA64Model:
		bytes = 8
	case color.Gray16Model:
		bytes = 2
	case color.GrayModel:
		bytes = 1
	}
	const interlaced = 28 // byte of the header that says so
	if len(data) > interlaced && data[interlaced] != 0 {
		bytes *= 2
	}
	return bytes
}

// takes is what a picture of a size takes, decoded and half way through being shrunk: as wide as it will
// be, as high as it was.
func takes(width, height int, perPixel float64) float64 {
	w, h := float64(width), float64(height)
	narrow := min(w, w*longestSide/max(w, h))
	return w*h*perPixel + 4*narrow*h
}

// mostMegapixels is about how much of a picture of four to three can be taken.
func mostMegapixels(perPixel float64) int {
	n := 1
	for ; n < 100; n++ {
		height := math.Sqrt(float64(n+1) * 1e6 * 3 / 4)
		if takes(int(height*4/3), int(height), perPixel) > maxDecoded {
			break
		}
	}
	return n
}

// turned sets a picture upright that was held as EXIF says.
func turned(img image.Image, orientation int) image.Image {
	switch orientation {
	case 2:
		return imaging.FlipH(img)
	case 3:
		return imaging.Rotate180(img)
	case 4:
		return imaging.FlipV(img)
	case 5:
		return imaging.Transpose(img)
	case 6:
		return imaging.Rotate270(img)
	case 7:
		return imaging.Transverse(img)
	case 8:
		return imaging.Rotate90(img)
	}
	return img
}

func shrunk(img image.Image, side int) image.Image {
	if b := img.Bounds(); b.Dx() > side || b.Dy() > side {
		return imaging.Fit(img, side, side, imaging.CatmullRom)
	}
	return img
}

func encoded(img image.Image) ([]byte, error) {
	var out bytes.Buffer
	err := jpeg.Encode(&out, img, &jpeg.Options{Quality: quality})
	return out.Bytes(), err
}
