package server

import (
	"bytes"
	"errors"
	"fmt"
	"io"
	"math"
	"net"
	"net/http"
	"strconv"
	"time"

	"github.com/danielgtaylor/huma/v2"
	"github.com/danielgtaylor/huma/v2/adapters/humaecho"

	"jiriki/core/bounds"
)

// Bounds on a request's body.
const (
	maxBody  = 1 << 20          // of JSON that is not a file
	bodyTime = 10 * time.Second // in which it must have come, usually
)

// admit stands before every operation: it reads the body, holds it against the limits of what it is
// meant for before any of it is decoded, and lets so much work in at once. Files and pictures are put by on disk; their
// own operations read them, one at a time.
func (a *api) admit(h huma.API) func(huma.Context, func(huma.Context)) {
	return func(ctx huma.Context, next func(huma.Context)) {
		op := ctx.Operation()
		if name := notANumber(ctx); name != "" {
			a.refuse(h, ctx, http.StatusUnprocessableEntity, name+" has to be a number.")
			return
		}
		if shape, ok := a.shapes[op.OperationID]; ok {
			body, err := readBody(ctx, a.bodyTime)
			if err == nil {
				err = shape.Check(body)
			}
			if err != nil {
				status, detail := bodyError{err, maxBody}.problem()
				a.refuse(h, ctx, status, detail)
				return
			}
			humaecho.Unwrap(ctx).Request().Body = io.NopCloser(bytes.NewReader(body))
		}
		if most, ok := fileOf(op); ok {
			done, ok := a.withFile(h, ctx, most)
			if !ok {
				return
			}
			defer done()
		}
		if laneOf(op) == long {
			allowLong(ctx)
		}
		if gate, ok := a.gates[laneOf(op)]; ok {
			leave, entered := gate.enter(ctx.Context())
			if !entered {
				a.refuseBusy(h, ctx, "Too much is being worked out at once. It is asked again in a moment.")
				return
			}
			defer leave()
		}
		next(ctx)
	}
}

// notANumber names a figure of the address that is none though it can be read as one, such as NaN; empty where there is
// none. A schema's bounds let it by.
func notANumber(ctx huma.Context) string {
	for _, p := range ctx.Operation().Parameters {
		if p.In != "query" || p.Schema == nil || p.Schema.Type != huma.TypeNumber {
			continue
		}
		if v, err := strconv.ParseFloat(ctx.Query(p.Name), 64); err == nil && (math.IsNaN(v) || math.IsInf(v, 0)) {
			return p.Name
		}
	}
	return ""
}

// longTime is what work that takes long may take over its connection.
const longTime = 10 * time.Minute

// allowLong puts off the deadlines that every other request has.
func allowLong(ctx huma.Context) {
	// A connection that has no deadlines needs none put off.
	control := http.NewResponseController(humaecho.Unwrap(ctx).Response())
	_ = control.SetReadDeadline(time.Now().Add(longTime))
	_ = control.SetWriteDeadline(time.Now().Add(longTime))
}

// refuseBusy sends a request away that will be taken a moment later.
func (a *api) refuseBusy(h huma.API, ctx huma.Context, detail string) {
	ctx.SetHeader("Retry-After", "1")
	a.refuse(h, ctx, http.StatusServiceUnavailable, detail)
}

func (a *api) refuse(h huma.API, ctx huma.Context, status int, detail string) {
	if err := huma.WriteErr(h, ctx, status, detail); err != nil {
		a.log.WarnContext(ctx.Context(), "answer not written", "err", err)
	}
}

// errTooLarge is a body that is longer than is taken.
var errTooLarge = errors.New("too large")

// bodyError is an error of reading a body: of the connection, or that there is too much.
type bodyError struct {
	err  error
	most int64 // bytes that are taken
}

func (e bodyError) Error() string { return e.err.Error() }
func (e bodyError) Unwrap() error { return e.err }

// problem is what the error is answered with.
func (e bodyError) problem() (status int, detail string) {
	var passed bounds.Error
	var network net.Error
	switch {
	case errors.Is(e.err, errTooLarge):
		return http.StatusRequestEntityTooLarge, "At most " + bytesInWords(e.most) + " are taken."
	case errors.As(e.err, &passed):
		return http.StatusRequestEntityTooLarge, "The request holds too much. " + passed.Error() + "."
	case errors.As(e.err, &network) && network.Timeout():
		return http.StatusRequestTimeout, "The request did not come whole in time."
	}
	return http.StatusBadRequest, "The request broke off or is not well formed."
}

// bytesInWords is a bound on bytes, in the largest unit that tells it whole.
func bytesInWords(n int64) string {
	if n < 1<<20 {
		return fmt.Sprintf("%d KB", n>>10)
	}
	return fmt.Sprintf("%d MB", n>>20)
}

// bodyReader marks errors of the connection, which are no fault of what is read.
type bodyReader struct{ io.Reader }

func (b bodyReader) Read(p []byte) (int, error) {
	n, err := b.Reader.Read(p)
	if err != nil && !errors.Is(err, io.EOF) {
		err = bodyError{err: err}
	}
	return n, err
}

func readBody(ctx huma.Context, within time.Duration) ([]byte, error) {
	if err := ctx.SetReadDeadline(time.Now().Add(within)); err != nil && !errors.Is(err, http.ErrNotSupported) {
		return nil, err
	}
	body, err := io.ReadAll(io.LimitReader(ctx.BodyReader(), maxBody+1))
	if err == nil && len(body) > maxBody {
		err = errTooLarge
	}
	return body, err
}

// shapesOf are the shapes of the JSON that operations take, by operation.
func shapesOf(h huma.API) map[string]*bounds.Shape {
	out := map[string]*bounds.Shape{}
	registry := h.OpenAPI().Components.Schemas
	for _, path := range h.OpenAPI().Paths {
		for _, op := range []*huma.Operation{path.Get, path.Put, path.Post, path.Delete} {
			if op == nil || op.RequestBody == nil {
				continue
			}
			content, ok := op.RequestBody.Content["application/json"]
			if !ok || content.Schema == nil || content.Schema.Ref == "" {
				continue
			}
			out[op.OperationID] = bounds.Of(registry.TypeFromRef(content.Schema.Ref))
		}
	}
	return out
}

// withoutBody takes what was sent out of an answer that says it could not be read.
func withoutBody(_ huma.Context, _ string, v any) (any, error) {
	if problem, ok := v.(*huma.ErrorModel); ok {
		for _, detail := range problem.Errors {
			if detail.Location == "body" {
				detail.Value = nil
			}
		}
	}
	return v, nil
}
