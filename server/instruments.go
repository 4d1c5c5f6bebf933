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
	"sync"
	"time"

	"github.com/danielgtaylor/huma/v2"
	"github.com/danielgtaylor/huma/v2/sse"

	"jiriki/core/instrument"
	"jiriki/store"
)

// Instrument is one that may send readings.
type Instrument struct {
	Token string `json:"token" doc:"Part of the address it sends to"`
	Name  string `json:"name"`
}

// LiveValue is a reading as it came.
type LiveValue struct {
	Token string          `json:"token"`
	Name  string          `json:"name" doc:"Of the instrument"`
	Word  instrument.Word `json:"word" enum:"rpm,rpm2,volts,amps,celsius,newton,db,hertz,ohms"`
	Value float64         `json:"value" doc:"In the unit of its word"`
	Unit  string          `json:"unit"`
	Typed string          `json:"typed" doc:"As a person would type it"`
	Clock *float64        `json:"clock,omitempty" doc:"Seconds on the instrument's own clock, where it sent them"`
	At    time.Time       `json:"at" doc:"When it was read, or came"`
}

// LiveBeat says that the stream is open though nothing comes.
type LiveBeat struct {
	Instruments int `json:"instruments" doc:"That may send"`
}

// Sent is how a batch of lines was taken.
type Sent struct {
	Taken   int       `json:"taken"`
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
	maxLines    = 256 << 10 // bytes at once
	mostBad     = 10
	beatEvery   = 5 * time.Second
	waitingMost = 256 // values a listener may be behind before it misses some
)

// live passes what instruments send to whoever listens. A listener that is too slow misses values; none waits for it.
type live struct {
	mu        sync.Mutex
	listeners map[chan LiveValue]bool
}

func (l *live) send(v LiveValue) {
	l.mu.Lock()
	defer l.mu.Unlock()
	for ch := range l.listeners {
		select {
		case ch <- v:
		default:
		}
	}
}

// listen returns a channel of what comes from now on, and how to leave.
func (l *live) listen() (values chan LiveValue, leave func()) {
	ch := make(chan LiveValue, waitingMost)
	l.mu.Lock()
	defer l.mu.Unlock()
	if l.listeners == nil {
		l.listeners = map[chan LiveValue]bool{}
	}
	l.listeners[ch] = true
	return ch, func() {
		l.mu.Lock()
		defer l.mu.Unlock()
		delete(l.listeners, ch)
	}
}

func (a *api) instruments(h huma.API) {
	huma.Register(h, huma.Operation{OperationID: "get-instruments", Method: http.MethodGet, Path: "/api/instruments",
		Summary: "The instruments that may send readings"},
		a.getInstruments)
	huma.Register(h, huma.Operation{OperationID: "add-instrument", Method: http.MethodPost, Path: "/api/instruments",
		Summary: "Let an instrument in: makes its token", DefaultStatus: http.StatusCreated},
		a.addInstrument)
	huma.Register(h, huma.Operation{OperationID: "delete-instrument", Method: http.MethodDelete,
		Path: "/api/instruments/{token}", Summary: "Let it in no more", DefaultStatus: http.StatusNoContent},
		func(ctx context.Context, in *TokenPath) (*struct{}, error) {
			return nil, a.fail(ctx, a.store.DeleteInstrument(ctx, in.Token))
		})
	huma.Register(h, takingFile(maxLines, huma.Operation{OperationID: "send-readings", Method: http.MethodPost,
		Path: "/api/instruments/{token}/readings",
		Summary: "Lines of an instrument, such as rpm 1234.5; passed on to whoever looks, and kept by nobody " +
			"until taken"}),
		a.sendReadings)
	describeBody(h, "/api/instruments/{token}/readings", "text/plain")
	sse.Register(h, inLane(lasting, huma.Operation{OperationID: "live", Method: http.MethodGet, Path: "/api/live",
		Summary: "What instruments send, as it comes; a beat every few seconds besides"}),
		map[string]any{"value": LiveValue{}, "beat": LiveBeat{}}, a.listenLive)
}

func (a *api) getInstruments(ctx context.Context, _ *struct{}) (*struct {
	Body []Instrument `nullable:"false"`
}, error) {
	list, err := a.store.Instruments(ctx)
	out := &struct {
		Body []Instrument `nullable:"false"`
	}{[]Instrument{}}
	for _, one := range list {
		out.Body = append(out.Body, Instrument{one.Token, one.Name})
	}
	return out, a.fail(ctx, err)
}

func (a *api) addInstrument(ctx context.Context, in *struct {
	Body struct {
		Name string `json:"name" maxLength:"80"`
	}
}) (*struct{ Body Instrument }, error) {
	// 20 signs of 32 are a hundred bits: nobody guesses one.
	token := strings.ToLower(rand.Text())[:20]
	err := a.store.AddInstrument(ctx, token, in.Body.Name)
	if errors.Is(err, store.ErrFull) {
		return nil, huma.Error409Conflict(fmt.Sprintf("At most %d instruments are let in. Take one out first.",
			store.MaxInstruments))
	}
	return &struct{ Body Instrument }{Instrument{token, in.Body.Name}}, a.fail(ctx, err)
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
			out.Taken++
			a.live.send(liveValue(from, line))
		}
	}
	return &struct{ Body Sent }{out}, nil
}

func (s *Sent) refuse(line int, message string) {
	if len(s.Refused) < mostBad {
		s.Refused = append(s.Refused, BadLine{line, message})
	}
}

func liveValue(from store.Instrument, line instrument.Line) LiveValue {
	out := LiveValue{Token: from.Token, Name: from.Name, Word: line.Word, Value: line.Value, Unit: line.Unit(),
		Typed: string(line.Typed()), At: time.Now()}
	if line.HasDay {
		out.At = line.At
	}
	if !math.IsNaN(line.Clock) {
		out.Clock = &line.Clock
	}
	return out
}

func (a *api) listenLive(ctx context.Context, _ *struct{}, send sse.Sender) {
	values, leave := a.live.listen()
	defer leave()
	beat := time.NewTicker(beatEvery)
	defer beat.Stop()
	list, err := a.store.Instruments(ctx)
	if err != nil || send.Data(LiveBeat{len(list)}) != nil {
		return
	}
	for {
		select {
		case <-ctx.Done():
			return
		case v := <-values:
			if send.Data(v) != nil {
				return
			}
		case <-beat.C:
			if send.Data(LiveBeat{len(list)}) != nil {
				return
			}
		}
	}
}
