package server

import (
	"context"
	"net/http"

	"github.com/danielgtaylor/huma/v2"

	"jiriki/core/fault"
	"jiriki/core/plan"
)

// FaultInput is a plan whose line does not do as it should, with what was seen and tried.
type FaultInput struct {
	plan.Input
	Asked fault.Asked `json:"asked"`
}

func (a *api) faults(h huma.API) {
	huma.Register(h, inLane(keyed, huma.Operation{
		OperationID: "find-fault", Method: http.MethodPost, Path: "/api/fault",
		Summary: "What is likely to be wrong, and the test that tells most for what it costs; nothing is saved",
		// The core checks every field itself and names it better than a schema does.
		SkipValidateBody: true,
	}), func(ctx context.Context, in *struct{ Body FaultInput }) (*struct{ Body fault.Opinion }, error) {
		out, err := fault.Judge(in.Body.Input, in.Body.Asked)
		return &struct{ Body fault.Opinion }{out}, a.fail(ctx, err)
	})
}
