package server

import (
	"context"
	"net/http"

	"github.com/danielgtaylor/huma/v2"

	"jiriki/core/work"
)

// Catalogue is what can be chosen from: it is the same for every workshop.
type Catalogue struct {
	Machines  []work.Kind     `json:"machines" nullable:"false" doc:"Kinds of machine"`
	Materials []work.Material `json:"materials" nullable:"false" doc:"What is cut"`
	Likes     []work.Like     `json:"likes" nullable:"false" doc:"Comparable machines"`
	Job       work.Job        `json:"job" doc:"A job with nothing filled in"`
}

type catalogueOutput struct {
	CacheControl string `header:"Cache-Control"`
	Body         Catalogue
}

func (a api) catalogue(h huma.API) {
	huma.Register(h, huma.Operation{OperationID: "get-catalogue", Method: http.MethodGet, Path: "/api/catalogue", Summary: "What can be chosen from"}, a.getCatalogue)
}

func (a api) getCatalogue(context.Context, *struct{}) (*catalogueOutput, error) {
	return &catalogueOutput{"no-cache", Catalogue{Machines: work.Kinds(), Materials: work.Materials(), Likes: work.Likes(), Job: work.Blank()}}, nil
}
