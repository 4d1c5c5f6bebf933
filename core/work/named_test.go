package work

import (
	"testing"

	"github.com/stretchr/testify/assert"
)

func TestANameTellsTheKindOfMachine(t *testing.T) {
	for name, kind := range map[string]string{
		"Kick wheel, powered": "potters-wheel", "My potter's wheel": "potters-wheel", "Potters’ wheel": "potters-wheel",
		"Bench lathe with a dead motor": "lathe", "Old lathe": "lathe", "9 inch lathe": "lathe",
		"Wood lathe": "wood-lathe", "Woodturning lathe, 300 mm": "wood-lathe", "Bowl lathe": "wood-lathe",
		"Power feed for the lathe": "feed", "Leadscrew of the mill": "feed", "Table feed": "feed",
		"Lathe feed": "feed", "Feed mixer": "mixer", "Feed": "feed",
		"Belt grinder": "belt-sander", "2x72 grinder": "belt-sander", "Belt sander 50 mm": "belt-sander",
		"Bench grinder": "grinder", "Grindstone": "grinder", "Disc sander": "disc-sander",
		"Cider mill": "crusher", "Apple mill": "crusher", "Grain mill": "crusher", "Fruit crusher": "crusher",
		"Milling machine": "mill", "Mill": "mill", "Drill press": "drill", "Pillar drill": "drill",
		"Power hacksaw": "hacksaw", "Bandsaw": "bandsaw", "Band saw, 350 mm": "bandsaw", "Shaper": "shaper",
		"Honey extractor": "extractor", "Dough mixer": "mixer", "Cement mixer": "mixer", "Conveyor": "conveyor",
		"Forge blower": "fan", "Rotary table": "indexer",
		"": "", "The green one": "", "Treadmill": "", "Tread mill": "", "Coffee grinder": "", "Surface grinder": "",
		"Fantastic": "", "Drumstick": "", "Windmill": "", "Sawmill": "", "Milly": "",
	} {
		assert.Equal(t, kind, KindNamed(name), name)
	}
}

func TestEveryNameIsOfAKindThereIs(t *testing.T) {
	for _, c := range calledBy {
		if c.kind != "" {
			assert.Equal(t, c.kind, FindKind(c.kind).ID)
		}
	}
}
