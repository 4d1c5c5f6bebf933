package server

import (
	"context"
	"net/http"

	"github.com/danielgtaylor/huma/v2"

	"jiriki/core/plan"
	"jiriki/core/shelf"
)

// beltsAsked is a plan, and the step its belts are on.
type beltsAsked struct {
	Body struct {
		plan.Input
		Step int `json:"step" minimum:"0" maximum:"11" doc:"Counted from 0; a stage with fewer is on its last"`
	}
}

type beltsOutput struct {
	Body struct {
		Stages [][]shelf.BeltFit `json:"stages" nullable:"false" doc:"For each stage, by distance between its shafts"`
	}
}

func (a *api) belts(h huma.API) {
	huma.Register(h, huma.Operation{OperationID: "belts", Method: http.MethodPost, Path: "/api/belts",
		Summary:          "The belts there are for each stage, near where its shafts stand",
		SkipValidateBody: true},
		func(ctx context.Context, in *beltsAsked) (*beltsOutput, error) {
			if err := a.stocked(ctx, &in.Body.Input); err != nil {
				return nil, a.fail(ctx, err)
			}
			s, err := plan.Resolve(in.Body.Input)
			out := &beltsOutput{}
			out.Body.Stages = make([][]shelf.BeltFit, len(s.Reduction.Stages))
			for i := range s.Reduction.Stages {
				stage := &s.Reduction.Stages[i]
				step := min(max(in.Body.Step, 0), len(stage.Steps)-1)
				out.Body.Stages[i] = shelf.Belts(stage, step, in.Body.Shelf, in.Body.Units)
			}
			return out, a.fail(ctx, err)
		})
}
