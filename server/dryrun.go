package server

import (
	"context"
	"net/http"

	"github.com/danielgtaylor/huma/v2"

	"jiriki/core/dryrun"
	"jiriki/core/plan"
	"jiriki/core/script"
)

// DryRunInput is what a dry run takes: a plan as an assessment does, and a script to run in place of its own.
type DryRunInput struct {
	plan.Input
	Script *script.Described `json:"script,omitempty" doc:"Run in place of the plan's own, as beside another plan"`
}

// input is the plan with the script it is to run.
func (in *DryRunInput) input() plan.Input {
	out := in.Input
	if in.Script != nil {
		out.Plan.Script = *in.Script
	}
	return out
}

func (a *api) dryRun(h huma.API) {
	huma.Register(h, inLane(keyed, huma.Operation{
		OperationID: "dryRun", Method: http.MethodPost, Path: "/api/dryrun",
		Summary: "Run a plan's script through time; nothing is saved",
		Description: "The answer names every entry that cannot be used; the rest is run without them. Without events " +
			"the " +
			"usual script of its kind of machine is run, and comes back with the answer.",
		// The core checks every field itself and names it better than a schema does.
		SkipValidateBody: true,
	}), func(ctx context.Context, in *struct{ Body DryRunInput }) (*struct{ Body dryrun.Answer }, error) {
		input := in.Body.input()
		if err := a.stocked(ctx, &input); err != nil {
			return nil, a.fail(ctx, err)
		}
		out, err := dryrun.Of(input)
		return &struct{ Body dryrun.Answer }{out}, a.fail(ctx, err)
	})
}
