package trial

import (
	"encoding/binary"
	"errors"
	"fmt"
	"math"
)

// ErrWAV is a sound file that cannot be read.
var ErrWAV = errors.New("not a sound file this can read: write WAV, uncompressed")

// Codings of a WAV file.
const (
	wavPCM        = 1
	wavFloat      = 3
	wavExtensible = 0xFFFE
)

// ReadWAV reads an uncompressed WAV file (8, 16, 24 or 32 bits, or 32-bit floating point) as mono samples from −1 to 1;
// several channels are averaged. No more is read than is listened to, [MostSeconds]. It returns an error that wraps
// ErrWAV for anything else.
func ReadWAV(data []byte) (samples []float64, rate float64, err error) {
	if len(data) < 12 || string(data[:4]) != "RIFF" || string(data[8:12]) != "WAVE" {
		return nil, 0, ErrWAV
	}
	var coding, channels, bits int
	for at := 12; at+8 <= len(data); {
		id, size := string(data[at:at+4]), int(binary.LittleEndian.Uint32(data[at+4:]))
		body := data[at+8:]
		if size < 0 || size > len(body) {
			// Recorders that were cut off leave the length open.
			size = len(body)
		}
		body = body[:size]
		switch id {
		case "fmt ":
			if size < 16 {
				return nil, 0, ErrWAV
			}
			coding = int(binary.LittleEndian.Uint16(body))
			channels = int(binary.LittleEndian.Uint16(body[2:]))
			rate = float64(binary.LittleEndian.Uint32(body[4:]))
			bits = int(binary.LittleEndian.Uint16(body[14:]))
			if coding == wavExtensible && size >= 26 {
				coding = int(binary.LittleEndian.Uint16(body[24:]))
			}
		case "data":
			samples, err = decode(body, rate, coding, channels, bits)
			return samples, rate, err
		}
		at += 8 + size + size%2
	}
	return nil, 0, ErrWAV
}

func decode(body []byte, rate float64, coding, channels, bits int) ([]float64, error) {
	size := bits / 8
	if channels < 1 || channels > 8 || size < 1 || size > 4 || coding != wavPCM && !(coding == wavFloat && bits == 32) {
		return nil, fmt.Errorf("%w (%d bits, coding %d)", ErrWAV, bits, coding)
	}
	frames := min(len(body)/(size*channels), int(MostSeconds*rate))
	out := make([]float64, frames)
	for i := range out {
		for c := range channels {
			out[i] += sample(body[(i*channels+c)*size:], coding, size) / float64(channels)
		}
		if math.IsNaN(out[i]) || math.IsInf(out[i], 0) {
			out[i] = 0
		}
	}
	return out, nil
}

func sample(b []byte, coding, size int) float64 {
	switch {
	case coding == wavFloat:
		return float64(math.Float32frombits(binary.LittleEndian.Uint32(b)))
	case size == 1:
		return (float64(b[0]) - 128) / 128
	case size == 2:
		return float64(int16(binary.LittleEndian.Uint16(b))) / (1 << 15)
	case size == 3:
		return float64(int32(uint32(b[0])<<8|uint32(b[1])<<16|uint32(b[2])<<24)>>8) / (1 << 23)
	}
	return float64(int32(binary.LittleEndian.Uint32(b))) / (1 << 31)
}
