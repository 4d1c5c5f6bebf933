package server

import (
	"context"
	"errors"
	"time"

	"github.com/danielgtaylor/huma/v2"
	"github.com/danielgtaylor/huma/v2/sse"
)

// Progress is how much of long work is done.
type Progress struct {
	Share float64 `json:"share" doc:"From 0 to 1"`
}

// progressEvery is how often long work says how far it is.
const progressEvery = 100 * time.Millisecond

// streamed does long work, which says how much of it is done and is stopped when nobody listens any more: its result is
// sent, or the problem with it. stopped is the error with which it says that it was stopped.
func streamed[T any](a *api, ctx context.Context, send sse.Sender, stopped error,
	work func(goesOn func(share float64) bool) (T, error),
) {
	told := time.Now()
	result, err := work(func(share float64) bool {
		if time.Since(told) > progressEvery {
			told = time.Now()
			if send.Data(Progress{share}) != nil {
				return false
			}
		}
		return ctx.Err() == nil
	})
	if errors.Is(err, stopped) {
		return
	}
	if err != nil {
		a.sendProblem(ctx, err, send)
		return
	}
	_ = send.Data(result)
}

func (a *api) sendProblem(ctx context.Context, err error, send sse.Sender) {
	var known *huma.ErrorModel
	if errors.As(a.fail(ctx, err), &known) {
		_ = send.Data(*known)
	}
}
