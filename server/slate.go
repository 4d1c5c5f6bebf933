package server

import (
	"context"
	"net/http"

	"github.com/danielgtaylor/huma/v2"

	q "jiriki/core/quantity"
	"jiriki/core/slate"
)

// question is what was typed on the slate.
type question struct {
	Text  string   `json:"text" maxLength:"300"`
	Units q.System `json:"units" enum:"metric,inch" doc:"System figures are shown in, and a bare length is taken in"`
}

func (a *api) slate(h huma.API) {
	huma.Register(h, inLane(keyed, huma.Operation{
		OperationID: "ask-slate", Method: http.MethodPost, Path: "/api/slate",
		Summary:     "What follows from figures typed in shop words",
		Description: "Such as “1.4 hp at 2850 rpm, wheel 180 mm”. What is not understood is said, with what is.",
	}), func(_ context.Context, in *struct{ Body question }) (*struct{ Body slate.Reply }, error) {
		return &struct{ Body slate.Reply }{slate.Ask(in.Body.Text, in.Body.Units)}, nil
	})
}
