package work

import "math"

// FastestWanted is the fastest speed a job asks for, within the machine's limit; rad/s.
func (m *Resolved) FastestWanted() float64 {
	fastest := 0.0
	for _, job := range m.Jobs {
		if job.Missing == "" {
			fastest = math.Max(fastest, job.High)
		}
	}
	limit, _ := m.TopSpeed()
	return math.Min(fastest, limit)
}
