package control

// Names are what the kinds are called.
var Names = map[Kind]string{
	PhaseAngle: "Phase-angle drive", Chopper: "PWM drive", Inverter: "Inverter", Contactor: "Plain switch",
	BrushlessDrive: "Brushless controller", StepperDriver: "Stepper driver", CapacitorSet: "Fan capacitors",
	SinglePhaseInverter: "Single-phase inverter", VariableTransformer: "Variable transformer", SeriesResistor: "Series resistor",
}
