package server

import (
	"context"
	"net/http"

	"github.com/danielgtaylor/huma/v2"
	"github.com/danielgtaylor/huma/v2/sse"

	"jiriki/core/search"
)

func (a *api) search(h huma.API) {
	sse.Register(h, inLane(long, huma.Operation{
		OperationID: "search", Method: http.MethodPost, Path: "/api/search",
		Summary: "The best reductions for a plan's jobs",
		Description: "Streams progress, then the result, or the problem when an entry cannot be used. Closing the " +
			"connection stops it.",
		// The core checks every field itself and names it better than a schema does.
		SkipValidateBody: true,
	}), map[string]any{"progress": Progress{}, "result": search.Result{}, "problem": huma.ErrorModel{}},
		a.runSearch)
}

func (a *api) runSearch(ctx context.Context, in *struct{ Body search.Input }, send sse.Sender) {
	if err := a.stocked(ctx, &in.Body.Input); err != nil {
		a.sendProblem(ctx, err, send)
		return
	}
	streamed(a, ctx, send, search.ErrStopped, func(goesOn func(float64) bool) (search.Result, error) {
		return search.Search(in.Body, goesOn)
	})
}
