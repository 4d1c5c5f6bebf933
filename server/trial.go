package server

import (
	"context"
	"encoding/binary"
	"errors"
	"math"
	"net/http"

	"github.com/danielgtaylor/huma/v2"

	"jiriki/core/measured"
	"jiriki/core/plan"
	"jiriki/core/quantity"
	"jiriki/core/trial"
)

// TrialInput is a plan, and which of its trials is to be worked out.
type TrialInput struct {
	plan.Input
	Trial int `json:"trial" minimum:"0" maximum:"59" doc:"Its place in the plan's list"`
}

// maxSound bounds a sound that is sent to be listened to.
const maxSound = 24 << 20

func (a *api) trials(h huma.API) {
	huma.Register(h, inLane(keyed, huma.Operation{
		OperationID: "trial", Method: http.MethodPost, Path: "/api/trial",
		Summary: "What a trial comes to, beside what the plan reckons; nothing is saved",
		// The core checks every field itself and names it better than a schema does.
		SkipValidateBody: true,
	}), func(ctx context.Context, in *struct{ Body TrialInput }) (*struct{ Body trial.Answer }, error) {
		out, err := trial.Of(in.Body.Input, in.Body.Trial)
		return &struct{ Body trial.Answer }{out}, a.fail(ctx, err)
	})
	huma.Register(h, huma.Operation{OperationID: "read-table", Method: http.MethodPost, Path: "/api/trial/table",
		Summary: "A CSV file as readings of a kind of trial, with how each column was taken; nothing is saved"},
		a.readTable)
	huma.Register(h, takingFile(maxSound, inLane(long, huma.Operation{
		OperationID: "listen", Method: http.MethodPost, Path: "/api/plans/{id}/listen",
		Summary: "The speed of a plan's machine out of its sound; nothing is saved",
		Description: "The body is a WAV file, or with a rate 32-bit floating-point samples, little-endian. What " +
			"is known " +
			"of the machine is taken from the saved plan.",
	})), a.listen)
	describeBody(h, "/api/plans/{id}/listen", "application/octet-stream")
}

func (a *api) readTable(_ context.Context, in *struct {
	Body struct {
		Kind measured.Kind `json:"kind" maxLength:"20"`
		Text string        `json:"text" maxLength:"900000"`
		As   []string      `json:"as" maxItems:"60" nullable:"false" doc:"What columns are to be taken for, by the names of a reading's fields; empty to go by the heading, - to leave it out"`
	}
}) (*struct{ Body measured.Table }, error) {
	out, err := measured.ReadCSV([]byte(in.Body.Text), in.Body.Kind, in.Body.As)
	if err != nil {
		return nil, huma.Error422UnprocessableEntity("The file was not read: " + err.Error() + ".")
	}
	return &struct{ Body measured.Table }{out}, nil
}

func (a *api) listen(ctx context.Context, in *struct {
	IDPath
	Rate     float64         `query:"rate" minimum:"0" maximum:"400000" doc:"Samples a second, where the body is bare samples"`
	Position string          `query:"position" maxLength:"60" doc:"Belt position by its label; the first when empty"`
	Where    measured.Shaft  `query:"where" enum:"spindle,motor" default:"spindle" doc:"Whose speed the reading is"`
	Units    quantity.System `query:"units" enum:"metric,inch" default:"metric"`
	fileInput
}) (*struct{ Body trial.Listened }, error) {
	s, err := a.store.Sheet(ctx, in.ID)
	if err != nil {
		return nil, a.fail(ctx, err)
	}
	data, err := in.read()
	if err != nil {
		return nil, huma.Error422UnprocessableEntity("The sound was not taken: " + err.Error() + ".")
	}
	samples, rate := []float64(nil), in.Rate
	if rate != 0 {
		samples = bareSamples(data, rate)
	} else if samples, rate, err = trial.ReadWAV(data); err != nil {
		return nil, huma.Error422UnprocessableEntity("The sound was not taken: it is " + err.Error() + ".")
	}
	out, err := trial.Listen(samples, rate, plan.Input{Units: in.Units, Machine: s.Machine.Described,
		Plan: s.Plan.Described}, in.Position, in.Where)
	if errors.Is(err, trial.ErrTooShort) || errors.Is(err, trial.ErrSilence) || errors.Is(err, trial.ErrRate) {
		return nil, huma.Error422UnprocessableEntity("No speed was heard: " + err.Error() + ".")
	}
	return &struct{ Body trial.Listened }{out}, a.fail(ctx, err)
}

// bareSamples are 32-bit floating-point samples, as many as are listened to; what is no number is silence.
func bareSamples(data []byte, rate float64) []float64 {
	out := make([]float64, min(len(data)/4, int(trial.MostSeconds*min(rate, 1e6))))
	for i := range out {
		v := float64(math.Float32frombits(binary.LittleEndian.Uint32(data[4*i:])))
		if !math.IsNaN(v) && !math.IsInf(v, 0) {
			out[i] = v
		}
	}
	return out
}
