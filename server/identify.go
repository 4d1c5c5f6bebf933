package server

import (
	"context"
	"net/http"

	"github.com/danielgtaylor/huma/v2"

	"jiriki/core/finding"
	"jiriki/core/identify"
)

func (a *api) identify(h huma.API) {
	huma.Register(h, huma.Operation{OperationID: "identify", Method: http.MethodPost, Path: "/api/identify",
		Summary: "What kind of motor it is by what was seen, and the one next look"},
		a.judge)
	huma.Register(h, huma.Operation{OperationID: "sort-leads", Method: http.MethodPost, Path: "/api/leads",
		Summary: "Which leads belong together, and what they are"},
		a.sortLeads)
	huma.Register(h, huma.Operation{OperationID: "check-capacitor", Method: http.MethodPost, Path: "/api/capacitor",
		Summary: "Whether a capacitor and its start switch are sound"},
		a.checkCapacitor)
}

func (a *api) judge(ctx context.Context, in *struct{ Body identify.Input }) (*struct{ Body identify.Opinion }, error) {
	opinion, err := identify.Judge(in.Body)
	return &struct{ Body identify.Opinion }{opinion}, a.fail(ctx, err)
}

func (a *api) sortLeads(ctx context.Context, in *struct{ Body identify.Leads }) (*struct{ Body identify.Sorted },
	error) {
	sorted, err := identify.Sort(in.Body)
	return &struct{ Body identify.Sorted }{sorted}, a.fail(ctx, err)
}

func (a *api) checkCapacitor(ctx context.Context, in *struct{ Body identify.CapacitorCheck }) (*struct {
	Body []finding.Finding `nullable:"false"`
}, error) {
	list, err := identify.Capacitor(in.Body)
	return &struct {
		Body []finding.Finding `nullable:"false"`
	}{list}, a.fail(ctx, err)
}
