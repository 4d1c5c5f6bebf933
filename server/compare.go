package server

import (
	"context"
	"net/http"

	"github.com/danielgtaylor/huma/v2"

	"jiriki/core/compare"
)

// beside are the plans to compare.
type beside struct {
	Plans []compare.Named `json:"plans" minItems:"1" maxItems:"3" nullable:"false"`
}

func (a *api) compare(h huma.API) {
	huma.Register(h, inLane(long, huma.Operation{
		OperationID: "compare", Method: http.MethodPost, Path: "/api/compare",
		Summary: "Plans beside each other: what they differ in first, and which is the better in what",
		// The core checks every field itself and names it better than a schema does.
		SkipValidateBody: true,
	}), func(ctx context.Context, in *struct{ Body beside }) (*struct{ Body compare.Beside }, error) {
		plans := in.Body.Plans[:min(len(in.Body.Plans), compare.MaxPlans)]
		for i := range plans {
			if err := a.stocked(ctx, &plans[i].Input); err != nil {
				return nil, a.fail(ctx, err)
			}
		}
		out, err := compare.Plans(plans)
		return &struct{ Body compare.Beside }{out}, a.fail(ctx, err)
	})
}
