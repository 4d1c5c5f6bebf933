package fault

import (
	"slices"
	"strings"

	"jiriki/core/motor"
)

// kind and shaded are short for what the table of causes names once.
type kind = motor.Kind

const shaded = motor.ShadedPole

func hasWord(list, word string) bool { return slices.Contains(strings.Fields(list), word) }
