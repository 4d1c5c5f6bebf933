package server

import (
	"bytes"
	"context"
	"encoding/binary"
	"net/http"

	"github.com/danielgtaylor/huma/v2"

	"jiriki/core/instrument"
	"jiriki/core/practice"
)

// BenchAsked is a simulated machine, and when its instruments are looked at.
type BenchAsked struct {
	Seed    uint32  `query:"seed"`
	Knob    float64 `query:"knob" minimum:"0.1" maximum:"1" default:"0.6" doc:"Share of full"`
	Seconds float64 `query:"seconds" minimum:"0" maximum:"86400" doc:"Since it was switched on"`
	Pulls   int     `query:"pulls" minimum:"0" maximum:"20" doc:"How often the spring scale is pulled, unplugged"`
	Flash   float64 `query:"flash" minimum:"0" maximum:"30000" doc:"Flashes a minute; 0 for none"`
}

// BenchReads is what its instruments read.
type BenchReads struct {
	Values []BenchValue `json:"values" nullable:"false"`
	Lines  string       `json:"lines" doc:"The same as lines of an instrument"`
	Seen   string       `json:"seen" doc:"Of one mark under the flashes"`
	Pulls  []float64    `json:"pulls" nullable:"false" doc:"N on a spring scale 200 mm out, each just starting it"`
	Lasts  float64      `json:"lasts" doc:"Seconds of one round"`
}

// BenchValue is one of them.
type BenchValue struct {
	Word  instrument.Word `json:"word"`
	Name  string          `json:"name"`
	Value float64         `json:"value"`
	Unit  string          `json:"unit"`
}

func (a *api) practice(h huma.API) {
	huma.Register(h, huma.Operation{OperationID: "get-exercises", Method: http.MethodGet, Path: "/api/practice",
		Summary: "The exercises there are"},
		func(context.Context, *struct{}) (*struct {
			Body []practice.Named `nullable:"false"`
		}, error) {
			return &struct {
				Body []practice.Named `nullable:"false"`
			}{practice.Exercises()}, nil
		})
	huma.Register(h, inLane(keyed, huma.Operation{OperationID: "practise", Method: http.MethodPost,
		Path:    "/api/practice",
		Summary: "An exercise as it stands after what was done; nothing is saved"}),
		func(ctx context.Context, in *struct{ Body practice.Asked }) (*struct{ Body practice.Bench }, error) {
			out, err := practice.At(in.Body)
			return &struct{ Body practice.Bench }{out}, a.fail(ctx, err)
		})
	huma.Register(h, inLane(keyed, huma.Operation{OperationID: "get-bench", Method: http.MethodGet,
		Path: "/api/practice/bench", Summary: "What the instruments of a simulated machine read"}),
		a.readBench)
	huma.Register(h, inLane(keyed, huma.Operation{OperationID: "get-bench-sound", Method: http.MethodGet,
		Path: "/api/practice/sound.wav", Summary: "What a microphone beside it hears for four seconds"}),
		a.hearBench)
}

func (a *api) simulated(in *BenchAsked) (practice.Simulated, error) {
	s, ok := practice.Simulate(in.Seed, in.Knob)
	if !ok {
		return s, huma.Error422UnprocessableEntity("This machine does not run. Choose another.")
	}
	return s, nil
}

// scaleArm is where the spring scale is hooked, m from the axis.
const scaleArm = 0.2

func (a *api) readBench(_ context.Context, in *BenchAsked) (*struct{ Body BenchReads }, error) {
	s, err := a.simulated(in)
	if err != nil {
		return nil, err
	}
	out := BenchReads{Values: []BenchValue{}, Lasts: s.Lasts(), Pulls: []float64{}}
	for i := range in.Pulls {
		out.Pulls = append(out.Pulls, s.Pull(scaleArm, i))
	}
	names := map[instrument.Word]string{}
	for _, c := range instrument.Channels() {
		names[c.Word] = c.Name
	}
	for _, l := range s.At(in.Seconds) {
		out.Values = append(out.Values, BenchValue{l.Word, names[l.Word], l.Value, l.Unit()})
		out.Lines += l.Write() + "\n"
	}
	if in.Flash > 0 {
		out.Seen = s.SeenAt(in.Seconds, in.Flash)
	}
	return &struct{ Body BenchReads }{out}, nil
}

// heardFor and heardRate are a sound as it is given out, s and samples a second.
const (
	heardFor  = 4.0
	heardRate = 8000
)

func (a *api) hearBench(_ context.Context, in *BenchAsked) (*fileOutput, error) {
	s, err := a.simulated(in)
	if err != nil {
		return nil, err
	}
	heard := wav(s.Sound(in.Seconds, heardFor, heardRate))
	return &fileOutput{`attachment; filename="bench.wav"`, "audio/wav", heard}, nil
}

// wav is mono samples as a WAV file of 16 bits.
func wav(samples []float64) []byte {
	var out bytes.Buffer
	size := uint32(2 * len(samples))
	out.WriteString("RIFF")
	head := []any{36 + size, [8]byte([]byte("WAVEfmt ")), uint32(16), uint16(1), uint16(1), uint32(heardRate),
		uint32(2 * heardRate),
		uint16(2), uint16(16), [4]byte([]byte("data")), size}
	for _, v := range head {
		_ = binary.Write(&out, binary.LittleEndian, v)
	}
	for _, v := range samples {
		_ = binary.Write(&out, binary.LittleEndian, int16(32767*min(max(v, -1), 1)))
	}
	return out.Bytes()
}
