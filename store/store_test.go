package store_test

import (
	"context"
	"errors"
	"sync"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"jiriki/core/motor"
	"jiriki/core/openfile"
	"jiriki/core/plan"
	"jiriki/core/shelf"
	"jiriki/core/work"
	"jiriki/demo"
	"jiriki/store"
	"jiriki/store/storetest"
)

var ctx = context.Background()

func lathe(t *testing.T, s *store.Store) (machineID, planID string) {
	t.Helper()
	id, plans, err := s.AddMachine(ctx, work.Machine{Name: "Lathe", Kind: "lathe"}.Whole(),
		[]plan.Plan{plan.Plan{Name: "First"}.Whole()})
	require.NoError(t, err)
	return id, plans[0]
}

func TestWhatWasTypedComesBackToTheLetter(t *testing.T) {
	s := storetest.Open(t)
	_, id := lathe(t, s)
	sheet, err := s.Sheet(ctx, id)
	require.NoError(t, err)
	plan, machine := sheet.Plan.Described, sheet.Machine.Described
	plan.Motor.Plate.Power, machine.Limits.Spindle = ` ¾ hp, "about" `, "1 750 rpm 🙂"
	saved, err := s.SaveSheet(ctx, id, 1, 1, plan, machine, nil)
	require.NoError(t, err)
	assert.Equal(t, 2, saved.Plan.Version)
	assert.Equal(t, 2, saved.Machine.Version)
	again, err := s.Sheet(ctx, id)
	require.NoError(t, err)
	assert.Equal(t, plan, again.Plan.Described)
	assert.Equal(t, machine, again.Machine.Described)
}

func TestAStaleSaveIsToldAndWritesNothing(t *testing.T) {
	s := storetest.Open(t)
	_, id := lathe(t, s)
	sheet, err := s.Sheet(ctx, id)
	require.NoError(t, err)
	mine, theirs, machine := sheet.Plan.Described, sheet.Plan.Described, sheet.Machine.Described
	theirs.Motor.Name, mine.Motor.Name = "theirs", "mine"
	_, err = s.SaveSheet(ctx, id, 1, 1, theirs, machine, nil)
	require.NoError(t, err)

	machine.Name = "Renamed with my save"
	now, err := s.SaveSheet(ctx, id, 1, 1, mine, machine, nil)
	require.ErrorIs(t, err, store.ErrStale)
	assert.Equal(t, "theirs", now.Plan.Described.Motor.Name, "what is saved now comes with the error")
	kept, err := s.Sheet(ctx, id)
	require.NoError(t, err)
	assert.Equal(t, "Lathe", kept.Machine.Described.Name, "neither half is written")

	_, err = s.SaveSheet(ctx, id, 1, 1, theirs, sheet.Machine.Described, nil)
	assert.NoError(t, err, "saving what is already there needs no version")
}

func TestOnlyOneOfManySavesFromOneVersionWins(t *testing.T) {
	s := storetest.Open(t)
	_, id := lathe(t, s)
	sheet, err := s.Sheet(ctx, id)
	require.NoError(t, err)
	var wg sync.WaitGroup
	var mu sync.Mutex
	won := 0
	for i := range 8 {
		wg.Go(func() {
			plan := sheet.Plan.Described
			plan.Motor.Name = string(rune('a' + i))
			_, err := s.SaveSheet(ctx, id, 1, 1, plan, sheet.Machine.Described, nil)
			mu.Lock()
			defer mu.Unlock()
			if err == nil {
				won++
			} else {
				assert.ErrorIs(t, err, store.ErrStale)
			}
		})
	}
	wg.Wait()
	assert.Equal(t, 1, won)
}

func TestDeletionIsUndone(t *testing.T) {
	s := storetest.Open(t)
	machine, plan := lathe(t, s)
	require.NoError(t, s.DeletePlan(ctx, plan))
	_, err := s.Sheet(ctx, plan)
	assert.ErrorIs(t, err, store.ErrNotFound)
	assert.ErrorIs(t, s.DeletePlan(ctx, plan), store.ErrNotFound)
	require.NoError(t, s.RestorePlan(ctx, plan))

	require.NoError(t, s.DeleteMachine(ctx, machine))
	_, err = s.Sheet(ctx, plan)
	assert.ErrorIs(t, err, store.ErrNotFound, "a plan goes with its machine")
	require.NoError(t, s.RestoreMachine(ctx, machine))
	_, err = s.Sheet(ctx, plan)
	assert.NoError(t, err)

	id, err := s.AddShelfItem(ctx, shelf.Item{Motor: motor.Described{Name: "Spare"}})
	require.NoError(t, err)
	require.NoError(t, s.DeleteShelfItem(ctx, id))
	shelf, err := s.Shelf(ctx)
	require.NoError(t, err)
	assert.Empty(t, shelf)
	require.NoError(t, s.RestoreShelfItem(ctx, id))
	shelf, err = s.Shelf(ctx)
	require.NoError(t, err)
	assert.Equal(t, "Spare", shelf[0].Motor.Name)
}

func TestPlansTakeTheNextLetterAndAMachineHasTwentySix(t *testing.T) {
	s := storetest.Open(t)
	machine, first := lathe(t, s)
	for range 25 {
		_, err := s.AddPlan(ctx, machine, plan.Plan{}.Whole())
		require.NoError(t, err)
	}
	_, err := s.AddPlan(ctx, machine, plan.Plan{}.Whole())
	assert.ErrorIs(t, err, store.ErrFull)
	require.NoError(t, s.DeletePlan(ctx, first))
	_, err = s.AddPlan(ctx, machine, plan.Plan{}.Whole())
	assert.ErrorIs(t, err, store.ErrFull, "a deleted plan keeps its letter, so that it can come back")
	plans, err := s.PlansOf(ctx, machine)
	require.NoError(t, err)
	assert.Equal(t, "B", plans[0].Letter)
	assert.Equal(t, "Z", plans[24].Letter)
	_, err = s.AddPlan(ctx, "00000000-0000-0000-0000-000000000000", plan.Plan{})
	assert.ErrorIs(t, err, store.ErrNotFound)
}

func TestRenameAndCopy(t *testing.T) {
	s := storetest.Open(t)
	machine, plan := lathe(t, s)
	require.NoError(t, s.RenameMachine(ctx, machine, `Big "lathe"`))
	require.NoError(t, s.RenamePlan(ctx, plan, "With a new motor"))
	sheet, err := s.Sheet(ctx, plan)
	require.NoError(t, err)
	assert.Equal(t, `Big "lathe"`, sheet.Machine.Described.Name)
	assert.Equal(t, "lathe", sheet.Machine.Described.Kind, "nothing else changes")
	assert.Equal(t, "With a new motor", sheet.Plan.Described.Name)
	assert.Equal(t, 2, sheet.Plan.Version, "an open sheet must notice")

	id, err := s.CopyMachine(ctx, machine, "Copy")
	require.NoError(t, err)
	shed, err := s.Shed(ctx)
	require.NoError(t, err)
	require.Len(t, shed, 2)
	assert.Equal(t, id, shed[1].ID)
	assert.Equal(t, "Copy", shed[1].Name)
	require.Len(t, shed[1].Plans, 1)
	assert.Equal(t, "With a new motor", shed[1].Plans[0].Name)
	assert.Equal(t, shed[0].Plans[0].Digest, shed[1].Plans[0].Digest, "the same is the same")
	assert.NotEqual(t, shed[0].Digest, shed[1].Digest, "their names differ")
}

func TestExportOfAnImportIsTheSameFile(t *testing.T) {
	s := storetest.Open(t)
	untouched, err := s.Untouched(ctx)
	require.NoError(t, err)
	assert.True(t, untouched)
	file, err := demo.Workshop()
	require.NoError(t, err)
	require.NoError(t, s.Import(ctx, file.Send))
	export := func(to openfile.Sink) error { return s.Export(ctx, to) }
	out, err := openfile.Gather(export)
	require.NoError(t, err)
	for _, m := range file.Machines {
		for i := range m.Plans {
			m.Plans[i].Letter = string(rune('A' + i))
		}
	}
	assert.Equal(t, withoutIDs(file), withoutIDs(out))
	untouched, err = s.Untouched(ctx)
	require.NoError(t, err)
	assert.False(t, untouched)

	broken := errors.New("broken")
	assert.ErrorIs(t, s.Import(ctx, func(to openfile.Sink) error { return errors.Join(file.Send(to), broken) }), broken)
	again, err := openfile.Gather(export)
	require.NoError(t, err)
	assert.Len(t, again.Machines, len(file.Machines), "all or nothing")
	require.NoError(t, s.Import(ctx, openfile.File{Name: "Another"}.Send))
	name, err := s.WorkshopName(ctx)
	require.NoError(t, err)
	assert.Equal(t, "Quarry Lane shed", name, "the first name stays")
}

func TestADatabaseThatIsAwayIsSaidToBe(t *testing.T) {
	s, err := store.Open("postgres://jiriki@127.0.0.1:1/none?sslmode=disable&connect_timeout=2")
	require.NoError(t, err)
	defer func() { require.NoError(t, s.Close()) }()
	assert.ErrorIs(t, s.Ping(ctx), store.ErrAway)
	_, err = s.Shed(ctx)
	assert.ErrorIs(t, err, store.ErrAway)
	assert.ErrorIs(t, s.Import(ctx, openfile.File{}.Send), store.ErrAway)
}

// A workshop holds what a file can carry, so that what goes out can come back.
func TestAWorkshopHoldsWhatAFileCanCarry(t *testing.T) {
	s := storetest.Open(t)
	part, err := s.AddShelfItem(ctx, shelf.Item{}.Whole())
	require.NoError(t, err)
	require.NoError(t, s.DeleteShelfItem(ctx, part))
	parts := openfile.File{Shelf: make([]shelf.Item, openfile.MaxShelf)}
	require.NoError(t, s.Import(ctx, parts.Send))
	for _, more := range []func() error{
		func() error { _, err := s.AddShelfItem(ctx, shelf.Item{}.Whole()); return err },
		func() error { return s.RestoreShelfItem(ctx, part) },
		func() error { return s.Import(ctx, openfile.File{Shelf: make([]shelf.Item, 1)}.Send) },
	} {
		assert.ErrorIs(t, more(), store.ErrTooMany)
	}
	have, err := s.Shelf(ctx)
	require.NoError(t, err)
	assert.Len(t, have, openfile.MaxShelf)

	machines := openfile.File{Machines: make([]openfile.Machine, openfile.MaxMachines)}
	require.NoError(t, s.Import(ctx, machines.Send))
	_, _, err = s.AddMachine(ctx, work.Machine{Name: "One more"}.Whole(), nil)
	assert.ErrorIs(t, err, store.ErrTooMany)
	shed, err := s.Shed(ctx)
	require.NoError(t, err)
	_, err = s.CopyMachine(ctx, shed[0].ID, "Copy")
	assert.ErrorIs(t, err, store.ErrTooMany)
	require.NoError(t, s.DeleteMachine(ctx, shed[0].ID))
	_, _, err = s.AddMachine(ctx, work.Machine{Name: "One more"}.Whole(), nil)
	assert.NoError(t, err)
	assert.ErrorIs(t, s.RestoreMachine(ctx, shed[0].ID), store.ErrTooMany)
}
