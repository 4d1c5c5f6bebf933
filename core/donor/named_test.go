package donor

import (
	"testing"

	"github.com/stretchr/testify/assert"
)

func TestAnOldMachineIsKnownByWhatPeopleCallIt(t *testing.T) {
	for text, id := range map[string]string{
		"washing machine motor": "washing-machine", "Motor out of a washer": "washing-machine",
		"washing-machine motor": "washing-machine", "direct drive washing machine": "direct-drive-washer",
		"treadmill motor": "treadmill", "tread mill": "treadmill", "tumble dryer": "dryer", "a drier": "dryer",
		"wiper motor": "car", "mobility scooter": "scooter", "garage door opener": "garage-door",
		"well pump": "pump", "hoover": "vacuum-cleaner", "angle grinder": "hand-tool",
		"sewing machine": "sewing-machine",
		"":               "", "lathe": "", "motor": "", "carpet": "", "fantastic": "", "my car park": "",
	} {
		d, ok := Named(text)
		assert.Equal(t, id, d.ID, text)
		assert.Equal(t, id != "", ok, text)
	}
}

func TestEveryNameIsOfAnOldMachineThereIs(t *testing.T) {
	seen := map[string]bool{}
	for _, c := range calledBy {
		_, err := Find(c.id)
		assert.NoError(t, err)
		seen[c.id] = true
	}
	for _, d := range All() {
		assert.True(t, seen[d.ID], "%s has no name people call it by", d.ID)
	}
}

func TestEveryPairIsOfAnOldMachineThereIs(t *testing.T) {
	for _, p := range Pairs() {
		d, err := Find(p.Donor)
		assert.NoError(t, err)
		assert.NotEmpty(t, d.Holds, p.Name)
	}
}
