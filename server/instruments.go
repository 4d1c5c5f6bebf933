package server

import (
	"bytes"
	"context"
	"crypto/rand"
	"errors"
	"fmt"
	"math"
	"net/http"
	"strings"
	"time"

	"github.com/danielgtaylor/huma/v2"

	"jiriki/core/instrument"
	"jiriki/store"
)

// Instrument is one that may send readings.
type Instrument struct {
	ID   int64  `json:"id"`
	Name string `json:"name"`
}

// LetIn is an instrument with its token, which is told to whoever made it and to nobody else.
type LetIn struct {
	Instrument
	Token string `json:"token" doc:"Part of the address it sends to"`
}

// Sent is how a batch of lines was taken.
type Sent struct {
	Taken   int       `json:"taken"`
	Missed  int       `json:"missed" doc:"Of those taken, how many did not reach one that listens and is too slow for them"`
	Refused []BadLine `json:"refused" nullable:"false" doc:"Those that cannot be read, the first ten"`
}

// BadLine is a line that cannot be read.
type BadLine struct {
	Line    int    `json:"line" doc:"Counted from 1"`
	Message string `json:"message"`
}

// TokenPath names an instrument.
type TokenPath struct {
	Token string `path:"token" pattern:"^[a-z0-9]{20}$" patternDescription:"a token as the screen made it"`
}

// Bounds of what instruments send.
const (
	maxLines = 256 << 10 // bytes at once
	mostBad  = 10
)

func (a *api) instruments(h huma.API) {
	huma.Register(h, huma.Operation{OperationID: "get-instruments", Method: http.MethodGet, Path: "/api/instruments",
		Summary: "The instruments that may send readings"},
		a.getInstruments)
	huma.Register(h, huma.Operation{OperationID: "add-instrument", Method: http.MethodPost, Path: "/api/instruments",
		Summary: "Let an instrument in: makes its token", DefaultStatus: http.StatusCreated},
		a.addInstrument)
	huma.Register(h, huma.Operation{OperationID: "delete-instrument", Method: http.MethodDelete,
		Path: "/api/instruments/{id}", Summary: "Let it in no more", DefaultStatus: http.StatusNoContent},
		func(ctx context.Context, in *struct {
			ID int64 `path:"id"`
		}) (*struct{}, error) {
			return nil, a.fail(ctx, a.store.DeleteInstrument(ctx, in.ID))
		})
	huma.Register(h, takingFile(maxLines, huma.Operation{OperationID: "send-readings", Method: http.MethodPost,
		Path: "/api/instruments/{token}/readings",
		Summary: "Lines of an instrument, such as rpm 1234.5; passed on to whoever looks, and kept by nobody " +
			"until taken"}),
		a.sendReadings)
	describeBody(h, "/api/instruments/{token}/readings", "text/plain")
	describeLive(h)
}

func (a *api) getInstruments(ctx context.Context, _ *struct{}) (*struct {
	Body []Instrument `nullable:"false"`
}, error) {
	list, err := a.store.Instruments(ctx)
	out := &struct {
		Body []Instrument `nullable:"false"`
	}{[]Instrument{}}
	for _, one := range list {
		out.Body = append(out.Body, Instrument{one.ID, one.Name})
	}
	return out, a.fail(ctx, err)
}

func (a *api) addInstrument(ctx context.Context, in *struct {
	Body struct {
		Name string `json:"name" maxLength:"80"`
	}
}) (*struct{ Body LetIn }, error) {
	// 20 signs of 32 are a hundred bits: nobody guesses one.
	token := strings.ToLower(rand.Text())[:20]
	id, err := a.store.AddInstrument(ctx, token, in.Body.Name)
	if errors.Is(err, store.ErrFull) {
		return nil, huma.Error409Conflict(fmt.Sprintf("At most %d instruments are let in. Take one out first.",
			store.MaxInstruments))
	}
	return &struct{ Body LetIn }{LetIn{Instrument{id, in.Body.Name}, token}}, a.fail(ctx, err)
}

func (a *api) sendReadings(ctx context.Context, in *struct {
	TokenPath
	fileInput
}) (*struct{ Body Sent }, error) {
	from, err := a.store.Instrument(ctx, in.Token)
	if errors.Is(err, store.ErrNotFound) {
		return nil, huma.Error404NotFound("No instrument has this token. Make one on the Trials screen.")
	}
	if err != nil {
		return nil, a.fail(ctx, err)
	}
	data, err := in.read()
	if err != nil {
		return nil, a.fail(ctx, err)
	}
	out := Sent{Refused: []BadLine{}}
	var values []LiveValue
	for i, text := range bytes.Split(data, []byte("\n")) {
		if i == instrument.MostLines {
			out.refuse(i+1, fmt.Sprintf("at most %d lines are taken at once", instrument.MostLines))
			break
		}
		line, err := instrument.Parse(string(text))
		switch {
		case errors.Is(err, instrument.ErrBlank):
		case err != nil:
			out.refuse(i+1, err.Error())
		default:
			values = append(values, liveValue(from, line))
		}
	}
	out.Taken, out.Missed = len(values), a.live.send(values)
	return &struct{ Body Sent }{out}, nil
}

func (s *Sent) refuse(line int, message string) {
	if len(s.Refused) < mostBad {
		s.Refused = append(s.Refused, BadLine{line, message})
	}
}

func liveValue(from store.Instrument, line instrument.Line) LiveValue {
	out := LiveValue{Name: from.Name, Word: line.Word, Value: line.Value, Unit: line.Unit(),
		Typed: string(line.Typed()), At: time.Now()}
	if line.HasDay {
		out.At = line.At
	}
	if !math.IsNaN(line.Clock) {
		out.Clock = &line.Clock
	}
	return out
}
