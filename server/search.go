package server

import (
	"context"
	"errors"
	"net/http"
	"time"

	"github.com/danielgtaylor/huma/v2"
	"github.com/danielgtaylor/huma/v2/sse"

	"jiriki/core/search"
)

// SearchProgress is how much of a search is done.
type SearchProgress struct {
	Share float64 `json:"share" doc:"From 0 to 1"`
}

// progressEvery is how often a search says how far it is.
const progressEvery = 100 * time.Millisecond

func (a *api) search(h huma.API) {
	sse.Register(h, inLane(long, huma.Operation{
		OperationID: "search", Method: http.MethodPost, Path: "/api/search",
		Summary: "The best reductions for a plan's jobs",
		Description: "Streams progress, then the result, or the problem when an entry cannot be used. Closing the " +
			"connection stops it.",
		// The core checks every field itself and names it better than a schema does.
		SkipValidateBody: true,
	}), map[string]any{"progress": SearchProgress{}, "result": search.Result{}, "problem": huma.ErrorModel{}},
		a.runSearch)
}

func (a *api) runSearch(ctx context.Context, in *struct{ Body search.Input }, send sse.Sender) {
	told := time.Now()
	if err := a.stocked(ctx, &in.Body.Input); err != nil {
		a.sendProblem(ctx, err, send)
		return
	}
	result, err := search.Search(in.Body, func(share float64) bool {
		if time.Since(told) > progressEvery {
			told = time.Now()
			if send.Data(SearchProgress{share}) != nil {
				return false
			}
		}
		return ctx.Err() == nil
	})
	if errors.Is(err, search.ErrStopped) {
		return
	}
	if err != nil {
		a.sendProblem(ctx, err, send)
		return
	}
	_ = send.Data(result)
}

func (a *api) sendProblem(ctx context.Context, err error, send sse.Sender) {
	var known *huma.ErrorModel
	if errors.As(a.fail(ctx, err), &known) {
		_ = send.Data(*known)
	}
}
