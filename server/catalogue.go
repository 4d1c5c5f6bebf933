package server

import (
	"context"
	"net/http"

	"github.com/danielgtaylor/huma/v2"

	"jiriki/core/control"
	"jiriki/core/donor"
	"jiriki/core/motor"
	"jiriki/core/reduction"
	"jiriki/core/shelf"
	"jiriki/core/work"
)

// Catalogue is what can be chosen from: it is the same for every workshop.
type Catalogue struct {
	Machines  []work.Kind                   `json:"machines" nullable:"false" doc:"Kinds of machine"`
	Materials []work.Material               `json:"materials" nullable:"false" doc:"What is cut"`
	Likes     []work.Like                   `json:"likes" nullable:"false" doc:"Comparable machines"`
	Job       work.Job                      `json:"job" doc:"A job with nothing filled in"`
	Motors    []motor.Profile               `json:"motors" nullable:"false" doc:"Kinds of motor"`
	Donors    []donor.Donor                 `json:"donors" nullable:"false" doc:"What usually holds what"`
	Regions   []donor.Region                `json:"regions" nullable:"false"`
	Drives    map[motor.Kind][]control.Kind `json:"drives" doc:"Which controls suit each kind of motor"`
	Also      map[motor.Kind][]control.Kind `json:"also" doc:"Which work with it too, but are not the usual choice"`
	Item      shelf.Item                    `json:"item" doc:"A part with nothing filled in"`
	Reading   motor.Reading                 `json:"reading" doc:"A bench reading with nothing filled in"`
	Stage     reduction.DescribedStage      `json:"stage" doc:"A stage of a reduction with nothing filled in"`
	Pulleys   []float64                     `json:"pulleys" nullable:"false" doc:"Standard pitch diameters, mm"`
}

type catalogueOutput struct {
	CacheControl string `header:"Cache-Control"`
	Body         Catalogue
}

func (a *api) catalogue(h huma.API) {
	huma.Register(h, huma.Operation{OperationID: "get-catalogue", Method: http.MethodGet, Path: "/api/catalogue", Summary: "What can be chosen from"}, a.getCatalogue)
}

func (a *api) getCatalogue(context.Context, *struct{}) (*catalogueOutput, error) {
	return &catalogueOutput{"no-cache", Catalogue{Machines: work.Kinds(), Materials: work.Materials(), Likes: work.Likes(), Job: work.Blank(), Motors: motor.Profiles(), Donors: donor.All(), Regions: donor.Regions, Drives: drives(control.Drives), Also: drives(control.Also), Item: shelf.Item{}.Whole(), Stage: reduction.Blank(), Pulleys: reduction.PulleySizes}}, nil
}

// drives asks for every kind of motor which controls there are.
func drives(which func(motor string) []control.Kind) map[motor.Kind][]control.Kind {
	out := map[motor.Kind][]control.Kind{}
	for _, p := range motor.Profiles() {
		out[p.Kind] = which(string(p.Kind))
	}
	return out
}
