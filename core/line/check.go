package line

// Check is something on a list of a plan that has been done: a setting set, a step of the first
// power-up taken, a part put by.
type Check struct {
	ID       string `json:"id" maxLength:"80" doc:"Of the setting, step or part, such as setting.limit"`
	On       string `json:"on" maxLength:"20" doc:"The day it was done, as the person's machine writes dates"`
	Measured string `json:"measured" maxLength:"60" doc:"What was read while doing it"`
}

// maxChecks bounds a plan's list.
const maxChecks = 200
