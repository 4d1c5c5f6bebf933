package slate

// Kind names what an answer is.
type Kind string

// rule is one thing that follows from figures of some roles.
type rule struct {
	kind    Kind
	needs   []role // all of them
	without []role // none of them: another rule's business
	when    func(f *facts) bool
	gives   string // in words, after "it gives"
	like    string // a question it answers
	answer  func(a *asked)
}

// rules are all there are, in the order their answers stand.
var rules []rule

func init() {
	for _, part := range [][]rule{powerRules, wheelRules, electricRules, motionRules, unitRules, wordRules} {
		rules = append(rules, part...)
	}
}
