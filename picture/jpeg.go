package picture

import "encoding/binary"

// jpegHead is what a JPEG file says of itself before its picture begins.
type jpegHead struct {
	progressive bool
	samples     float64 // in each pixel, all components together: 1 to 4
	orientation int     // as in EXIF: 1 upright to 8; 1 when not said
}

// Markers of a JPEG file [ITU-T T.81].
const (
	markerAPP1 = 0xe1
	markerSOF2 = 0xc2
	markerSOS  = 0xda
)

// readJPEGHead walks the segments up to the picture. What is cut short or odd leaves the rest as it was.
func readJPEGHead(data []byte) jpegHead {
	h := jpegHead{samples: 4, orientation: 1}
	for at := 2; at+4 <= len(data); {
		if data[at] != 0xff {
			return h
		}
		marker := data[at+1]
		if marker == 0xff { // a fill byte
			at++
			continue
		}
		length := int(binary.BigEndian.Uint16(data[at+2:]))
		end := at + 2 + length
		if marker == markerSOS || length < 2 || end > len(data) {
			return h
		}
		segment := data[at+4 : end]
		switch {
		case marker == markerAPP1:
			h.orientation = exifOrientation(segment, h.orientation)
		case isFrame(marker):
			h.progressive = marker == markerSOF2
			h.samples = samplesOf(segment, h.samples)
		}
		at = end
	}
	return h
}

// isFrame reports whether a marker begins a frame: C0 to CF but for tables and arithmetic conditioning.
func isFrame(marker byte) bool {
	return marker >= 0xc0 && marker <= 0xcf && marker != 0xc4 && marker != 0xc8 && marker != 0xcc
}

// samplesOf adds up the components of a frame, each as densely sampled as it is.
func samplesOf(frame []byte, otherwise float64) float64 {
	if len(frame) < 6 || len(frame) < 6+3*int(frame[5]) || frame[5] == 0 {
		return otherwise
	}
	sum, most := 0, 1
	for i := range int(frame[5]) {
		sampling := frame[6+3*i+1]
		n := max(1, int(sampling>>4)*int(sampling&15))
		sum, most = sum+n, max(most, n)
	}
	return float64(sum) / float64(most)
}

// exifOrientation finds the orientation in an EXIF segment [CIPA DC-008: tag 0112 of the first directory].
func exifOrientation(segment []byte, otherwise int) int {
	const head, tag = "Exif\x00\x00", 0x0112
	if len(segment) < len(head)+8 || string(segment[:len(head)]) != head {
		return otherwise
	}
	tiff := segment[len(head):]
	var order binary.ByteOrder
	switch string(tiff[:2]) {
	case "MM":
		order = binary.BigEndian
	case "II":
		order = binary.LittleEndian
	default:
		return otherwise
	}
	at := int(order.Uint32(tiff[4:]))
	if at < 8 || at+2 > len(tiff) {
		return otherwise
	}
	entries := tiff[at+2:]
	for range order.Uint16(tiff[at:]) {
		if len(entries) < 12 {
			break
		}
		if order.Uint16(entries) == tag {
			if o := int(order.Uint16(entries[8:])); o >= 1 && o <= 8 {
				return o
			}
			break
		}
		entries = entries[12:]
	}
	return otherwise
}
