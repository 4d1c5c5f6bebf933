package server

import (
	"context"
	"net/http"

	"github.com/danielgtaylor/huma/v2"
	"github.com/danielgtaylor/huma/v2/sse"

	"jiriki/core/dryrun"
	"jiriki/core/plan"
	"jiriki/core/script"
)

// DryRunInput is what a dry run takes: a plan as an assessment does, and a script to run in place of its own.
type DryRunInput struct {
	plan.Input
	Script *script.Described `json:"script,omitempty" doc:"Run in place of the plan's own, as beside another plan"`
	Draws  int               `json:"draws,omitempty" minimum:"0" maximum:"200" doc:"For /api/draws: runs over what is not known, the usual number when left out"`
}

// mostDraws is how many runs over what is not known are made at the most.
const mostDraws = 200

// input is the plan with the script it is to run.
func (in *DryRunInput) input() plan.Input {
	out := in.Input
	if in.Script != nil {
		out.Plan.Script = *in.Script
	}
	return out
}

func (a *api) dryRun(h huma.API) {
	huma.Register(h, inLane(timed, huma.Operation{
		OperationID: "dryRun", Method: http.MethodPost, Path: "/api/dryrun",
		Summary: "Run a plan's script through time; nothing is saved",
		Description: "The answer names every entry that cannot be used; the rest is run without them. Without events " +
			"the usual script of its kind of machine is run, and comes back with the answer. A script that takes " +
			"long " +
			"is not run here, and the answer says so: /api/dryrun/whole runs it.",
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
	sse.Register(h, inLane(long, huma.Operation{
		OperationID: "dryRunWhole", Method: http.MethodPost, Path: "/api/dryrun/whole",
		Summary:          "Run a plan's script however long it takes",
		Description:      "Streams progress, then the result, or the problem. Closing the connection stops it.",
		SkipValidateBody: true,
	}), map[string]any{"progress": Progress{}, "result": dryrun.Answer{}, "problem": huma.ErrorModel{}},
		a.runWhole)
	sse.Register(h, inLane(long, huma.Operation{
		OperationID: "draws", Method: http.MethodPost, Path: "/api/draws",
		Summary:          "Run a plan's script over what is not known of it",
		Description:      "Streams progress, then the result, or the problem. Closing the connection stops it.",
		SkipValidateBody: true,
	}), map[string]any{"progress": Progress{}, "result": dryrun.Draws{}, "problem": huma.ErrorModel{}},
		a.runDraws)
	huma.Register(h, inLane(keyed, huma.Operation{
		OperationID: "day", Method: http.MethodPost, Path: "/api/day",
		Summary:          "A working day of a plan's jobs, by the heat of its motor",
		SkipValidateBody: true,
	}), func(ctx context.Context, in *struct{ Body DryRunInput }) (*struct{ Body dryrun.Day }, error) {
		input := in.Body.input()
		if err := a.stocked(ctx, &input); err != nil {
			return nil, a.fail(ctx, err)
		}
		out, err := dryrun.DayOf(input)
		return &struct{ Body dryrun.Day }{out}, a.fail(ctx, err)
	})
}

func (a *api) runWhole(ctx context.Context, in *struct{ Body DryRunInput }, send sse.Sender) {
	input := in.Body.input()
	if err := a.stocked(ctx, &input); err != nil {
		a.sendProblem(ctx, err, send)
		return
	}
	streamed(a, ctx, send, dryrun.ErrStopped, func(goesOn func(float64) bool) (dryrun.Answer, error) {
		return dryrun.Whole(input, goesOn)
	})
}

func (a *api) runDraws(ctx context.Context, in *struct{ Body DryRunInput }, send sse.Sender) {
	input := in.Body.input()
	if err := a.stocked(ctx, &input); err != nil {
		a.sendProblem(ctx, err, send)
		return
	}
	draws := min(max(in.Body.Draws, 0), mostDraws)
	if draws == 0 {
		draws = dryrun.UsualDraws
	}
	streamed(a, ctx, send, dryrun.ErrStopped, func(goesOn func(float64) bool) (dryrun.Draws, error) {
		return dryrun.Over(input, draws, goesOn)
	})
}
