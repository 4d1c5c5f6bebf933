package quantity

// Units are the labels and factors the answer's figures are shown with.
type Units struct {
	Torque     string  `json:"torque"`
	TorqueSI   float64 `json:"torqueSi" doc:"N·m in one shown unit"`
	Power      string  `json:"power"`
	PowerSI    float64 `json:"powerSi" doc:"W in one shown unit"`
	Length     string  `json:"length"`
	LengthInMM float64 `json:"lengthMm" doc:"mm in one shown unit"`
}

// UnitsOf are the units of a system.
func UnitsOf(sys System) Units {
	var u Units
	u.Torque, u.TorqueSI = Unit(Torque, sys)
	u.Power, u.PowerSI = Unit(Power, sys)
	u.Length, u.LengthInMM = Unit(Length, sys)
	u.LengthInMM *= 1000
	return u
}
