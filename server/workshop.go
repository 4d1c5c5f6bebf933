package server

import (
	"context"
	"net/http"

	"github.com/danielgtaylor/huma/v2"

	"jiriki/core/plan"
	"jiriki/core/quantity"
	"jiriki/core/shelf"
	"jiriki/core/work"
	"jiriki/demo"
)

// Workshop is the shed: every machine with its plans as lines, and the shelf as a list.
type Workshop struct {
	Name     string        `json:"name"`
	Machines []ShedMachine `json:"machines" nullable:"false"`
	Shelf    []shelf.Label `json:"shelf" nullable:"false"`
}

// ShedMachine is a machine's row in the shed.
type ShedMachine struct {
	ID    string     `json:"id"`
	Name  string     `json:"name"`
	Kind  string     `json:"kind"`
	Plans []ShedPlan `json:"plans" nullable:"false"`
}

// ShedPlan is a plan as its row shows it.
type ShedPlan struct {
	ID     string `json:"id"`
	Letter string `json:"letter"`
	Name   string `json:"name"`
	Verdict
}

type unitsQuery struct {
	Units quantity.System `query:"units" enum:"metric,inch" default:"metric" doc:"Units figures are shown in"`
}

type workshopOutput struct{ Body Workshop }

func (a *api) workshop(h huma.API) {
	huma.Register(h, huma.Operation{OperationID: "get-workshop", Method: http.MethodGet, Path: "/api/workshop",
		Summary: "The shed"},
		a.getWorkshop)
	huma.Register(h, huma.Operation{OperationID: "load-demo", Method: http.MethodPost, Path: "/api/demo",
		Summary: "Add the demo workshop", DefaultStatus: http.StatusNoContent},
		a.loadDemo)
	huma.Register(h, huma.Operation{OperationID: "get-example", Method: http.MethodGet, Path: "/api/example",
		Summary: "A machine of the demo with one of its plans, to be played with and kept nowhere"},
		a.getExample)
	huma.Register(h, inLane(open, huma.Operation{OperationID: "health", Method: http.MethodGet, Path: "/api/health",
		Summary: "Whether server and database answer", DefaultStatus: http.StatusNoContent}),
		a.health)
}

func (a *api) getWorkshop(ctx context.Context, in *unitsQuery) (*workshopOutput, error) {
	name, err := a.store.WorkshopName(ctx)
	if err != nil {
		return nil, a.fail(ctx, err)
	}
	hand, err := a.stock.now(ctx, a.store)
	if err != nil {
		return nil, a.fail(ctx, err)
	}
	shed, err := a.store.Shed(ctx)
	if err != nil {
		return nil, a.fail(ctx, err)
	}
	judged, err := a.verdicts.of(ctx, a.store, hand, in.Units, shed)
	if err != nil {
		return nil, a.fail(ctx, err)
	}
	out := Workshop{Name: name, Machines: make([]ShedMachine, len(shed)), Shelf: labels(hand.items, "")}
	for i, m := range shed {
		row := ShedMachine{ID: m.ID, Name: m.Name, Kind: m.Kind, Plans: []ShedPlan{}}
		for _, p := range m.Plans {
			// One deleted since the machines were read is not there.
			if verdict, there := judged[p.ID]; there {
				row.Plans = append(row.Plans, ShedPlan{ID: p.ID, Letter: p.Letter, Name: p.Name, Verdict: verdict})
			}
		}
		out.Machines[i] = row
	}
	return &workshopOutput{out}, nil
}

func (a *api) loadDemo(ctx context.Context, _ *struct{}) (*struct{}, error) {
	f, err := demo.Workshop()
	if err == nil {
		err = a.store.Import(ctx, f.Send)
	}
	return nil, a.fail(ctx, err)
}

// example is a machine with one plan that is in no workshop.
type example struct {
	Machine work.Machine `json:"machine"`
	Plan    plan.Plan    `json:"plan"`
}

func (a *api) getExample(ctx context.Context, _ *struct{}) (*struct{ Body example }, error) {
	f, err := demo.Workshop()
	if err != nil {
		return nil, a.fail(ctx, err)
	}
	first := f.Machines[0]
	return &struct{ Body example }{example{first.Machine.Whole(), first.Plans[0].Whole()}}, nil
}

func (a *api) health(ctx context.Context, _ *struct{}) (*struct{}, error) {
	return nil, a.fail(ctx, a.store.Ping(ctx))
}
