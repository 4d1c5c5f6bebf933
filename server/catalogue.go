package server

import (
	"context"
	"net/http"

	"github.com/danielgtaylor/huma/v2"

	"jiriki/core/control"
	"jiriki/core/donor"
	"jiriki/core/fault"
	"jiriki/core/measured"
	"jiriki/core/motor"
	"jiriki/core/practice"
	q "jiriki/core/quantity"
	"jiriki/core/reduction"
	"jiriki/core/script"
	"jiriki/core/shelf"
	"jiriki/core/work"
)

// Catalogue is what can be chosen from: the same for every workshop that works in a system of units.
type Catalogue struct {
	Machines   []work.Kind              `json:"machines" nullable:"false" doc:"Kinds of machine"`
	Materials  []work.Material          `json:"materials" nullable:"false" doc:"What is cut"`
	Likes      []work.Like              `json:"likes" nullable:"false" doc:"Comparable machines"`
	Job        work.Job                 `json:"job" doc:"A job with nothing filled in"`
	Motors     []motor.Profile          `json:"motors" nullable:"false" doc:"Kinds of motor"`
	Donors     []donor.Donor            `json:"donors" nullable:"false" doc:"What usually holds what"`
	Regions    []donor.Region           `json:"regions" nullable:"false"`
	Pairs      []donor.Pair             `json:"pairs" nullable:"false" doc:"Retrofits that are often made"`
	Controls   []control.Profile        `json:"controls" nullable:"false" doc:"Kinds of control"`
	Stages     []reduction.Profile      `json:"stages" nullable:"false" doc:"Kinds of stage"`
	Methods    []work.Method            `json:"methods" nullable:"false" doc:"Ways to find a job's load"`
	Operations []string                 `json:"operations" nullable:"false" doc:"Cuts there are"`
	Item       shelf.Item               `json:"item" doc:"A part with nothing filled in"`
	Reading    motor.Reading            `json:"reading" doc:"A bench reading with nothing filled in"`
	Stage      reduction.DescribedStage `json:"stage" doc:"A stage of a reduction with nothing filled in"`
	Happenings []script.Happening       `json:"happenings" nullable:"false" doc:"What can happen in a dry run"`
	Trials     []measured.Profile       `json:"trials" nullable:"false" doc:"Kinds of trial"`
	Trial      measured.Trial           `json:"trial" doc:"A trial with nothing filled in"`
	Taken      measured.Reading         `json:"taken" doc:"A reading of a trial with nothing filled in"`
	Exercises  []practice.Named         `json:"exercises" nullable:"false" doc:"Exercises of the practice bench"`
	Symptoms   []fault.Symptom          `json:"symptoms" nullable:"false" doc:"What can be wrong, as it is said"`
	Pulleys    []q.Text                 `json:"pulleys" nullable:"false" doc:"Standard pitch diameters as they are typed"`
}

type catalogueOutput struct {
	CacheControl string `header:"Cache-Control"`
	Body         Catalogue
}

func (a *api) catalogue(h huma.API) {
	huma.Register(h, huma.Operation{OperationID: "get-catalogue", Method: http.MethodGet, Path: "/api/catalogue",
		Summary: "What can be chosen from"},
		a.getCatalogue)
}

type catalogueInput struct {
	Units q.System `query:"units" enum:"metric,inch" default:"metric" doc:"What usual figures are offered in"`
}

func (a *api) getCatalogue(_ context.Context, in *catalogueInput) (*catalogueOutput, error) {
	pulleys := []q.Text{}
	for _, mm := range reduction.PulleySizes(in.Units) {
		pulleys = append(pulleys, q.WrittenLength(mm, in.Units))
	}
	return &catalogueOutput{CacheControl: "no-cache", Body: Catalogue{
		Machines: work.Kinds(in.Units), Materials: work.Materials(), Likes: work.Likes(in.Units),
		Methods:    work.Methods(),
		Operations: work.Operations(),
		Job:        work.Blank(),
		Motors:     motor.Profiles(), Donors: donor.All(), Regions: donor.Regions, Pairs: donor.Pairs(),
		Reading:    motor.Reading{},
		Controls:   control.Profiles(),
		Happenings: script.Happenings(),
		Exercises:  practice.Exercises(), Symptoms: fault.Symptoms(),
		Trials: measured.Profiles(), Trial: measured.Trial{}.Whole(),
		Stages: reduction.Profiles(), Stage: reduction.Blank(), Pulleys: pulleys,
		Item: shelf.Item{}.Whole(),
	}}, nil
}
