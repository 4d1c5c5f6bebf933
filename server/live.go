package server

import (
	"context"
	"net/http"
	"reflect"
	"sync"
	"time"

	"github.com/coder/websocket"
	"github.com/coder/websocket/wsjson"
	"github.com/danielgtaylor/huma/v2"
	"github.com/labstack/echo/v5"

	"jiriki/core/instrument"
)

// LiveValue is a reading as it came.
type LiveValue struct {
	Name  string          `json:"name" doc:"Of the instrument"`
	Word  instrument.Word `json:"word" enum:"rpm,rpm2,volts,amps,celsius,newton,db,hertz,ohms"`
	Value float64         `json:"value" doc:"In the unit of its word"`
	Unit  string          `json:"unit"`
	Typed string          `json:"typed" doc:"As a person would type it"`
	Clock *float64        `json:"clock,omitempty" doc:"Seconds on the instrument's own clock, where it sent them"`
	At    time.Time       `json:"at" doc:"When it was read, or came"`
}

// Bounds of who listens.
const (
	mostBehind    = 20_000 // values one may be behind before it misses some: four seconds at 5 kHz
	mostListeners = 256
	pingEvery     = 5 * time.Second
	liveWrite     = 10 * time.Second
)

// live passes what instruments send to whoever listens. None of them waits for another.
type live struct {
	mu        sync.Mutex
	listeners map[*listener]bool
}

// listener is one that listens, with what it has not had yet.
type listener struct {
	mu     sync.Mutex
	queue  [][]LiveValue
	behind int
	comes  chan struct{} // holds something while there is something
}

// send passes a batch on and returns how many of its values did not reach the slowest.
func (l *live) send(batch []LiveValue) (missed int) {
	if len(batch) == 0 {
		return 0
	}
	l.mu.Lock()
	defer l.mu.Unlock()
	for one := range l.listeners {
		if !one.take(batch) {
			missed = len(batch)
		}
	}
	return missed
}

// listen returns one that hears what comes from now on, nil where too many listen; leave ends it.
func (l *live) listen() (one *listener, leave func()) {
	one = &listener{comes: make(chan struct{}, 1)}
	l.mu.Lock()
	defer l.mu.Unlock()
	if len(l.listeners) >= mostListeners {
		return nil, nil
	}
	if l.listeners == nil {
		l.listeners = map[*listener]bool{}
	}
	l.listeners[one] = true
	return one, func() {
		l.mu.Lock()
		defer l.mu.Unlock()
		delete(l.listeners, one)
	}
}

// take puts a batch at the end, whole or not at all.
func (l *listener) take(batch []LiveValue) bool {
	l.mu.Lock()
	defer l.mu.Unlock()
	if l.behind+len(batch) > mostBehind {
		return false
	}
	l.queue = append(l.queue, batch)
	l.behind += len(batch)
	select {
	case l.comes <- struct{}{}:
	default:
	}
	return true
}

// all takes out what has come, in order.
func (l *listener) all() [][]LiveValue {
	l.mu.Lock()
	defer l.mu.Unlock()
	out := l.queue
	l.queue, l.behind = nil, 0
	return out
}

// describeLive describes the socket: it is no operation of the API's own, and what comes out of it has a shape all the
// same.
func describeLive(h huma.API) {
	values := h.OpenAPI().Components.Schemas.Schema(reflect.TypeFor[[]LiveValue](), true, "")
	h.OpenAPI().AddOperation(&huma.Operation{OperationID: "live", Method: http.MethodGet, Path: "/api/live",
		Summary: "A socket (WebSocket) that gives on what instruments send as it comes, in lists",
		Responses: map[string]*huma.Response{"101": {Description: "Each message is such a list",
			Content: map[string]*huma.MediaType{"application/json": {Schema: values}}}}})
}

// listenLive is a socket that gives on what instruments send, a list of values at a time. It is a socket and no stream
// of events, for a browser opens six of those to a server and then leaves every further request waiting.
func (a *api) listenLive(c *echo.Context) error {
	one, leave := a.live.listen()
	if one == nil {
		return problem(c, http.StatusServiceUnavailable, "Too many windows listen. Close one.")
	}
	defer leave()
	socket, err := websocket.Accept(c.Response(), c.Request(), nil)
	if err != nil {
		return nil // it has answered
	}
	defer func() { _ = socket.CloseNow() }()
	// What it says is not heard: reading only notices that it went.
	ctx := socket.CloseRead(c.Request().Context())
	ping := time.NewTicker(pingEvery)
	defer ping.Stop()
	for {
		var err error
		select {
		case <-ctx.Done():
			return nil
		case <-one.comes:
			for _, batch := range one.all() {
				if err = writeLive(ctx, socket, batch); err != nil {
					break
				}
			}
		case <-ping.C:
			within, done := context.WithTimeout(ctx, liveWrite)
			err = socket.Ping(within)
			done()
		}
		if err != nil {
			return nil
		}
	}
}

func writeLive(ctx context.Context, socket *websocket.Conn, batch []LiveValue) error {
	within, done := context.WithTimeout(ctx, liveWrite)
	defer done()
	return wsjson.Write(within, socket, batch)
}
