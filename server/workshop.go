package server

import (
	"context"
	"net/http"

	"github.com/danielgtaylor/huma/v2"

	"jiriki/core/finding"
	"jiriki/core/line"
	"jiriki/core/quantity"
	"jiriki/core/shelf"
	"jiriki/demo"
	"jiriki/store"
)

// Workshop is the shed: every machine with its plans as lines, and the shelf.
type Workshop struct {
	Name     string        `json:"name"`
	Machines []ShedMachine `json:"machines" nullable:"false"`
	Shelf    []shelf.Item  `json:"shelf" nullable:"false"`
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
	ID       string         `json:"id"`
	Letter   string         `json:"letter"`
	Name     string         `json:"name"`
	Headline string         `json:"headline"`
	Mark     finding.Level  `json:"mark" enum:"stop,missing,caution,good"`
	Stations []line.Station `json:"stations" nullable:"false"`
	Drawing  *line.Drawing  `json:"drawing,omitempty"`
}

type unitsQuery struct {
	Units quantity.System `query:"units" enum:"metric,inch" default:"metric" doc:"Units figures are shown in"`
}

type workshopOutput struct{ Body Workshop }

func (a api) workshop(h huma.API) {
	huma.Register(h, huma.Operation{OperationID: "get-workshop", Method: http.MethodGet, Path: "/api/workshop", Summary: "The shed"}, a.getWorkshop)
	huma.Register(h, huma.Operation{OperationID: "load-demo", Method: http.MethodPost, Path: "/api/demo", Summary: "Add the demo workshop", DefaultStatus: http.StatusNoContent}, a.loadDemo)
	huma.Register(h, huma.Operation{OperationID: "health", Method: http.MethodGet, Path: "/api/health", Summary: "Whether server and database answer", DefaultStatus: http.StatusNoContent}, a.health)
}

func (a api) getWorkshop(ctx context.Context, in *unitsQuery) (*workshopOutput, error) {
	name, err := a.store.WorkshopName(ctx)
	if err != nil {
		return nil, a.fail(ctx, err)
	}
	machines, err := a.store.Machines(ctx)
	if err != nil {
		return nil, a.fail(ctx, err)
	}
	plans, err := a.store.Plans(ctx)
	if err != nil {
		return nil, a.fail(ctx, err)
	}
	shelf, err := a.store.Shelf(ctx)
	if err != nil {
		return nil, a.fail(ctx, err)
	}
	out := Workshop{Name: name, Machines: make([]ShedMachine, len(machines)), Shelf: shelf}
	for i, m := range machines {
		row := ShedMachine{ID: m.ID, Name: m.Described.Name, Kind: m.Described.Kind, Plans: []ShedPlan{}}
		for _, p := range plans {
			if p.MachineID == m.ID {
				row.Plans = append(row.Plans, shedPlan(p, line.Input{Units: in.Units, Machine: m.Described, Plan: p.Described, Shelf: shelf}))
			}
		}
		out.Machines[i] = row
	}
	return &workshopOutput{out}, nil
}

// shedPlan assesses a plan for its row. A plan with an entry that cannot be used says so.
func shedPlan(p store.Plan, in line.Input) ShedPlan {
	row := ShedPlan{ID: p.ID, Letter: p.Letter, Name: p.Described.Name, Mark: finding.Missing, Stations: []line.Station{}}
	a, err := line.Assess(in)
	if err != nil {
		row.Headline = "An entry on this plan cannot be used yet."
		return row
	}
	row.Headline, row.Stations, row.Drawing, row.Mark = a.Headline, a.Stations, &a.Drawing, finding.Good
	for _, s := range a.Stations {
		if s.Mark.Rank() < row.Mark.Rank() {
			row.Mark = s.Mark
		}
	}
	return row
}

func (a api) loadDemo(ctx context.Context, _ *struct{}) (*struct{}, error) {
	f, err := demo.Workshop()
	if err == nil {
		err = a.store.Import(ctx, f)
	}
	return nil, a.fail(ctx, err)
}

func (a api) health(ctx context.Context, _ *struct{}) (*struct{}, error) {
	return nil, a.fail(ctx, a.store.Ping(ctx))
}
