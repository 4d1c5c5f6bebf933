package picture

import (
	"bytes"
	"encoding/base64"
	"image"
	"image/color"
	"image/jpeg"
	"image/png"
	"testing"

	"github.com/kovidgoyal/imaging"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

func photograph(t *testing.T, w, h int) image.Image {
	t.Helper()
	img := image.NewRGBA(image.Rect(0, 0, w, h))
	for y := range h {
		for x := range w {
			// Red above, blue below, so that which way is up can be seen.
			c := color.RGBA{R: 200, G: 30, B: 30, A: 255}
			if y > h/2 {
				c = color.RGBA{R: 30, G: 30, B: 200, A: 255}
			}
			img.Set(x, y, c)
		}
	}
	return img
}

func jpegOf(t *testing.T, img image.Image) []byte {
	t.Helper()
	var b bytes.Buffer
	require.NoError(t, jpeg.Encode(&b, img, nil))
	return b.Bytes()
}

// withExif puts an EXIF block with an orientation and a maker's name after a JPEG's first marker.
func withExif(plain []byte, orientation byte) []byte {
	tiff := append([]byte("Exif\x00\x00MM\x00*\x00\x00\x00\x08\x00\x02"),
		0x01, 0x12, 0, 3, 0, 0, 0, 1, 0, orientation, 0, 0, // orientation
		0x01, 0x0f, 0, 2, 0, 0, 0, 4, 'S', 'p', 'y', 0, // maker
		0, 0, 0, 0)
	length := len(tiff) + 2
	out := append([]byte{}, plain[:2]...)
	out = append(out, 0xff, 0xe1, byte(length>>8), byte(length))
	out = append(out, tiff...)
	return append(out, plain[2:]...)
}

func size(t *testing.T, jpg []byte) (int, int) {
	t.Helper()
	c, format, err := image.DecodeConfig(bytes.NewReader(jpg))
	require.NoError(t, err)
	assert.Equal(t, "jpeg", format)
	return c.Width, c.Height
}

func TestAPictureIsShrunkAndKeepsItsShape(t *testing.T) {
	full, thumbnail, err := Fit(jpegOf(t, photograph(t, 3200, 2000)))
	require.NoError(t, err)
	w, h := size(t, full)
	assert.Equal(t, []int{1600, 1000}, []int{w, h})
	w, h = size(t, thumbnail)
	assert.Equal(t, []int{320, 200}, []int{w, h})
	small, _, err := Fit(jpegOf(t, photograph(t, 40, 30)))
	require.NoError(t, err)
	w, _ = size(t, small)
	assert.Equal(t, 40, w, "a small one is not blown up")
}

func TestWhatTheFileSaidOfItselfIsGoneAndItStandsUpright(t *testing.T) {
	file := withExif(jpegOf(t, photograph(t, 60, 40)), 6)
	require.Contains(t, string(file), "Spy")
	full, _, err := Fit(file)
	require.NoError(t, err)
	assert.NotContains(t, string(full), "Exif")
	assert.NotContains(t, string(full), "Spy")
	w, h := size(t, full)
	assert.Equal(t, []int{40, 60}, []int{w, h}, "turned a quarter, as it was held")
	img, err := jpeg.Decode(bytes.NewReader(full))
	require.NoError(t, err)
	r, _, b, _ := img.At(35, 30).RGBA()
	assert.Greater(t, r, b, "the top came to the right")
}

func TestPNGAndWebPAreTaken(t *testing.T) {
	var b bytes.Buffer
	require.NoError(t, png.Encode(&b, photograph(t, 30, 20)))
	_, _, err := Fit(b.Bytes())
	assert.NoError(t, err)
	// One white pixel, lossless.
	webp, err := base64.StdEncoding.DecodeString("UklGRhoAAABXRUJQVlA4TA0AAAAvAAAAEAcQERGIiP4HAA==")
	require.NoError(t, err)
	full, _, err := Fit(webp)
	require.NoError(t, err)
	w, _ := size(t, full)
	assert.Equal(t, 1, w)
}

func TestWhatIsNoPictureIsRefused(t *testing.T) {
	whole := jpegOf(t, photograph(t, 300, 200))
	for name, data := range map[string][]byte{"empty": {}, "text": []byte("a motor"),
		"gif":        []byte("GIF89a\x01\x00\x01\x00\x00\x00\x00;"),
		"breaks off": whole[:len(whole)/3]} {
		_, _, err := Fit(data)
		assert.ErrorIs(t, err, ErrKind, name)
	}
	_, _, err := Fit(make([]byte, MaxBytes+1))
	assert.ErrorIs(t, err, ErrSize)
	// A few bytes that claim to be a thousand megapixels.
	var b bytes.Buffer
	require.NoError(t, png.Encode(&b, photograph(t, 1, 1)))
	bomb := b.Bytes()
	copy(bomb[16:24], []byte{0, 0, 0x80, 0, 0, 0, 0x80, 0})
	_, _, err = Fit(bomb)
	assert.Error(t, err)
}

// A picture of many pixels is refused before any is decoded; a camera's twelve megapixels are not.
func TestPixelsAreCountedBeforeTheyAreDecoded(t *testing.T) {
	// A small picture whose head says it is a large one: only the head may be looked at.
	claims := jpegOf(t, image.NewGray(image.Rect(0, 0, 16, 16)))
	frame := bytes.Index(claims, []byte{0xff, 0xc0})
	copy(claims[frame+5:], []byte{7740 >> 8, 7740 & 0xff, 7740 >> 8, 7740 & 0xff})
	_, _, err := Fit(claims)
	require.ErrorIs(t, err, ErrWide)
	assert.Contains(t, err.Error(), "7740 by 7740")

	camera := jpegOf(t, image.NewYCbCr(image.Rect(0, 0, 400, 300), image.YCbCrSubsampleRatio420))
	perPixel := pixelBytes(asJPEG, color.YCbCrModel, camera)
	assert.Equal(t, 1.5, perPixel)
	assert.Less(t, takes(4000, 3000, perPixel), float64(maxDecoded), "twelve megapixels of a camera's JPEG pass")
	assert.Equal(t, 15, mostMegapixels(perPixel))
	assert.Equal(t, 7, mostMegapixels(4), "and half as many of a screenshot")
}

func TestWhatAPixelTakesIsReadFromTheHead(t *testing.T) {
	// The head of a frame: length, precision, height, width, components with their sampling.
	head := func(marker byte, sampling ...byte) []byte {
		frame := []byte{0xff, marker, 0, byte(8 + 3*len(sampling)), 8, 0, 16, 0, 16, byte(len(sampling))}
		for i, s := range sampling {
			frame = append(frame, byte(i+1), s, 0)
		}
		return append([]byte{0xff, 0xd8}, frame...)
	}
	for _, c := range []struct {
		head  []byte
		bytes float64
	}{
		{head(0xc0, 0x22, 0x11, 0x11), 1.5},
		{head(0xc0, 0x11, 0x11, 0x11), 3},
		{head(0xc2, 0x22, 0x11, 0x11), 7.5},
		{head(0xc0, 0x11), 1},
		{head(0xc0, 0x11, 0x11, 0x11, 0x11), 4},
		{[]byte{0xff, 0xd8, 0xff}, 4},
		{append([]byte{0xff, 0xd8}, 0xff, 0xc0, 0, 3, 8), 4},
	} {
		assert.Equal(t, c.bytes, pixelBytes(asJPEG, color.YCbCrModel, c.head))
	}
	png := make([]byte, 33)
	assert.Equal(t, 4.0, pixelBytes(asPNG, color.RGBAModel, png))
	png[28] = 1
	assert.Equal(t, 8.0, pixelBytes(asPNG, color.RGBAModel, png), "interlaced, its passes are held too")
	assert.Equal(t, 16.0, pixelBytes(asPNG, color.NRGBA64Model, png))
}

// However it was held, the red end comes up on top.
func TestEveryOrientationStandsUpright(t *testing.T) {
	for orientation, undo := range map[byte]func(image.Image) image.Image{
		1: func(img image.Image) image.Image { return img }, 2: imaging.FlipH, 3: imaging.Rotate180, 4: imaging.FlipV,
		5: imaging.Transpose, 6: imaging.Rotate90, 7: imaging.Transverse, 8: imaging.Rotate270,
	} {
		full, _, err := Fit(withExif(jpegOf(t, undo(photograph(t, 60, 40))), orientation))
		require.NoError(t, err)
		w, h := size(t, full)
		assert.Equal(t, []int{60, 40}, []int{w, h}, orientation)
		img, err := jpeg.Decode(bytes.NewReader(full))
		require.NoError(t, err)
		r, _, b, _ := img.At(30, 5).RGBA()
		assert.Greater(t, r, b, orientation)
	}
}

func FuzzJPEGHead(f *testing.F) {
	f.Add([]byte{0xff, 0xd8, 0xff, 0xe1, 0, 8, 'E', 'x', 'i', 'f', 0, 0})
	f.Add([]byte("\xff\xd8\xff\xc2\x00\v\b\x01\x11\x00\x00\x01\xff\x01\x01\x01\x11\x00")) // sampled not at all
	f.Add([]byte{0xff, 0xd8, 0xff, 0xc2, 0, 11, 8, 0, 1, 0, 1, 1, 1, 0x11, 0})
	f.Fuzz(func(t *testing.T, data []byte) {
		h := readJPEGHead(data)
		assert.True(t, h.orientation >= 1 && h.orientation <= 8 && h.samples > 0, h)
	})
}
