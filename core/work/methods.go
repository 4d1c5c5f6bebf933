package work

// How a job's load can be found.
const (
	ByTorque     = "torque"
	ByPower      = "power"
	ByScale      = "scale"
	ByCutting    = "cutting"
	ByComparable = "comparable"
	ByReplaced   = "replaced"
	ByInertia    = "inertia"
	ByPull       = "pull"
	ByScrew      = "screw"
)

// Method is a way to find a job's load.
type Method struct {
	ID        string `json:"id"`
	Name      string `json:"name"`
	hasMargin bool   // its figure has its maker's margin in it already
}

// methods in the order they are offered.
var methods = []Method{
	{ID: ByTorque, Name: "torque, as known"},
	{ID: ByPower, Name: "power, as known"},
	{ID: ByScale, Name: "weighed with a spring scale"},
	{ID: ByCutting, Name: "worked out from the cut"},
	{ID: ByComparable, Name: "a like machine or work", hasMargin: true},
	{ID: ByReplaced, Name: "the motor it had", hasMargin: true},
	{ID: ByInertia, Name: "getting a mass up to speed"},
	{ID: ByPull, Name: "a straight pull"},
	{ID: ByScrew, Name: "a screw or feed"},
}

// Methods returns the ways to find a load in the order they are offered.
func Methods() []Method { return append([]Method(nil), methods...) }

var methodWords = func() []string {
	words := make([]string, len(methods))
	for i, m := range methods {
		words[i] = m.ID
	}
	return words
}()

// marginIn reports whether a method's figure has its maker's margin in it already.
func marginIn(method string) bool {
	for _, m := range methods {
		if m.ID == method {
			return m.hasMargin
		}
	}
	return false
}

// operations are the cuts there are, in the order they are offered.
var operations = []string{"turning", "drilling", "milling", "sawing", "sanding", "grinding"}

// Operations returns the cuts there are in the order they are offered.
func Operations() []string { return append([]string(nil), operations...) }
