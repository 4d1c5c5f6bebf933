package picture

import (
	"bytes"
	"encoding/base64"
	"image"
	"image/color"
	"image/jpeg"
	"image/png"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

func photograph(t *testing.T, w, h int) image.Image {
	t.Helper()
	img := image.NewRGBA(image.Rect(0, 0, w, h))
	for y := range h {
		for x := range w {
			// Red above, blue below, so that which way is up can be seen.
			c := color.RGBA{200, 30, 30, 255}
			if y > h/2 {
				c = color.RGBA{30, 30, 200, 255}
			}
			img.Set(x, y, c)
		}
	}
	return img
}

func asJPEG(t *testing.T, img image.Image) []byte {
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
	full, thumbnail, err := Fit(asJPEG(t, photograph(t, 3200, 2000)))
	require.NoError(t, err)
	w, h := size(t, full)
	assert.Equal(t, []int{1600, 1000}, []int{w, h})
	w, h = size(t, thumbnail)
	assert.Equal(t, []int{320, 200}, []int{w, h})
	small, _, err := Fit(asJPEG(t, photograph(t, 40, 30)))
	require.NoError(t, err)
	w, _ = size(t, small)
	assert.Equal(t, 40, w, "a small one is not blown up")
}

func TestWhatTheFileSaidOfItselfIsGoneAndItStandsUpright(t *testing.T) {
	file := withExif(asJPEG(t, photograph(t, 60, 40)), 6)
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
	whole := asJPEG(t, photograph(t, 300, 200))
	for name, data := range map[string][]byte{"empty": {}, "text": []byte("a motor"), "gif": []byte("GIF89a\x01\x00\x01\x00\x00\x00\x00;"), "breaks off": whole[:len(whole)/3]} {
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
