package server

import (
	"context"
	"net/http"

	"github.com/danielgtaylor/huma/v2"

	"jiriki/core/assess"
	"jiriki/core/build"
	"jiriki/core/plan"
	"jiriki/core/rank"
)

type assessOutput struct{ Body assess.Assessment }

func (a *api) assess(h huma.API) {
	huma.Register(h, inLane(keyed, huma.Operation{
		OperationID: "assess", Method: http.MethodPost, Path: "/api/assess",
		Summary: "Work out a plan; nothing is saved",
		Description: "The answer names every entry that cannot be used; the rest is worked out without them. Without " +
			"parts of its own the workshop's shelf is tried.",
		// The core checks every field itself and names it better than a schema does.
		SkipValidateBody: true,
	}), func(ctx context.Context, in *struct{ Body plan.Input }) (*assessOutput, error) {
		if err := a.stocked(ctx, &in.Body); err != nil {
			return nil, a.fail(ctx, err)
		}
		out, err := a.starts.assess(in.Body)
		return &assessOutput{out}, a.fail(ctx, err)
	})
	huma.Register(h, inLane(long, huma.Operation{
		OperationID: "rank", Method: http.MethodPost, Path: "/api/rank",
		Summary:          "The shelf's motors for a machine's jobs, best first",
		SkipValidateBody: true,
	}), a.rank)
	huma.Register(h, inLane(long, huma.Operation{
		OperationID: "controls", Method: http.MethodPost, Path: "/api/controls",
		Summary:          "The controls that work with a plan's motor, on one reach",
		SkipValidateBody: true,
	}), a.controls)
	huma.Register(h, inLane(long, huma.Operation{
		OperationID: "build", Method: http.MethodPost, Path: "/api/build",
		Summary:          "What it takes to build a plan: parts, wiring, first power-up",
		SkipValidateBody: true,
	}), a.build)
}

func (a *api) controls(ctx context.Context, in *struct{ Body plan.Input }) (*struct{ Body rank.ControlsTried }, error) {
	if err := a.stocked(ctx, &in.Body); err != nil {
		return nil, a.fail(ctx, err)
	}
	tried, err := rank.Controls(in.Body)
	return &struct{ Body rank.ControlsTried }{tried}, a.fail(ctx, err)
}

func (a *api) build(ctx context.Context, in *struct{ Body plan.Input }) (*struct{ Body build.Build }, error) {
	if err := a.stocked(ctx, &in.Body); err != nil {
		return nil, a.fail(ctx, err)
	}
	built, err := build.Plan(in.Body)
	return &struct{ Body build.Build }{built}, a.fail(ctx, err)
}

func (a *api) rank(ctx context.Context, in *struct{ Body plan.Input }) (*struct{ Body rank.Ranking }, error) {
	if err := a.stocked(ctx, &in.Body); err != nil {
		return nil, a.fail(ctx, err)
	}
	ranking, err := rank.Motors(in.Body)
	return &struct{ Body rank.Ranking }{ranking}, a.fail(ctx, err)
}
