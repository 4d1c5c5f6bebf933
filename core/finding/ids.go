package finding

import (
	"fmt"
	"strconv"
	"strings"
)

// ID names a finding, its station first: it stays the same from answer to answer.
type ID string

// The findings there are; one that is said of a job, a stage or a step is told apart with [ID.Of].
const (
	SupplyCable       ID = "supply.cable"
	SupplyDrop        ID = "supply.drop"
	SupplyDropGood    ID = "supply.drop-good"
	SupplyVolts       ID = "supply.volts"
	SupplyHertz       ID = "supply.hertz"
	SupplyEarth       ID = "supply.earth"
	SupplySag         ID = "supply.sag"
	SupplyBreaker     ID = "supply.breaker"
	SupplyOverload    ID = "supply.overload"
	SupplyNearBreaker ID = "supply.near-breaker"
	SupplyBreakerGood ID = "supply.breaker-good"
	SupplyInrush      ID = "supply.inrush"
	SupplyLineVolts   ID = "supply.line-volts"
	SupplyLineHertz   ID = "supply.line-hertz"

	ControlOverPlate      ID = "control.over-plate"
	ControlRotorSpeed     ID = "control.rotor-speed"
	ControlKind           ID = "control.kind"
	ControlSuits          ID = "control.suits"
	ControlPhases         ID = "control.phases"
	ControlSuitsGood      ID = "control.suits-good"
	ControlVoltsLow       ID = "control.volts-low"
	ControlVoltsHigh      ID = "control.volts-high"
	ControlOverflux       ID = "control.overflux"
	ControlBatteryStart   ID = "control.battery-start"
	ControlAmps           ID = "control.amps"
	ControlAmpsShort      ID = "control.amps-short"
	ControlNoLimit        ID = "control.no-limit"
	ControlLimitHigh      ID = "control.limit-high"
	ControlLimitLow       ID = "control.limit-low"
	ControlFormFactor     ID = "control.form-factor"
	ControlOnePhaseIn     ID = "control.one-phase-in"
	ControlChips          ID = "control.chips"
	ControlSupplyUnit     ID = "control.supply-unit"
	ControlBareMains      ID = "control.bare-mains"
	ControlStoredCharge   ID = "control.stored-charge"
	ControlFromNothing    ID = "control.from-nothing"
	ControlWiring         ID = "control.wiring"
	ControlZeroStart      ID = "control.zero-start"
	ControlNoVolt         ID = "control.no-volt"
	ControlReverseScrewed ID = "control.reverse-screwed"
	ControlReverse        ID = "control.reverse"
	ControlReverseWanted  ID = "control.reverse-wanted"
	ControlFanTrials      ID = "control.fan-trials"
	ControlFanOnly        ID = "control.fan-only"
	ControlByTrial        ID = "control.by-trial"
	ControlStartSwitch    ID = "control.start-switch"
	ControlDisputed       ID = "control.disputed"
	ControlOverPlateHertz ID = "control.over-plate-hertz"
	ControlOhms           ID = "control.ohms"
	ControlCollapse       ID = "control.collapse"
	ControlResistorBurns  ID = "control.resistor-burns"

	MotorFanCooling         ID = "motor.fan-cooling"
	MotorFrameGood          ID = "motor.frame-good"
	MotorFrame              ID = "motor.frame"
	MotorFirstPower         ID = "motor.first-power"
	MotorSparks             ID = "motor.sparks"
	MotorLethal             ID = "motor.lethal"
	MotorCannotReverse      ID = "motor.cannot-reverse"
	MotorNeeds              ID = "motor.needs"
	MotorPlatePower         ID = "motor.plate-power"
	MotorPlateWeak          ID = "motor.plate-weak"
	MotorPeakRating         ID = "motor.peak-rating"
	MotorServiceFactor      ID = "motor.service-factor"
	MotorLinks              ID = "motor.links"
	MotorSlip               ID = "motor.slip"
	MotorHertz              ID = "motor.hertz"
	MotorCapacitorVolts     ID = "motor.capacitor-volts"
	MotorFanStarts          ID = "motor.fan-starts"
	MotorGuess              ID = "motor.guess"
	MotorShaftThin          ID = "motor.shaft-thin"
	MotorOhmsJump           ID = "motor.ohms-jump"
	MotorMisfit             ID = "motor.misfit"
	MotorKeAgainstPlate     ID = "motor.ke-against-plate"
	MotorTorqueAgainstPlate ID = "motor.torque-against-plate"
	MotorGearLimit          ID = "motor.gear-limit"
	MotorWormHolds          ID = "motor.worm-holds"
	MotorClutch             ID = "motor.clutch"
	MotorRunsAway           ID = "motor.runs-away"
	MotorFieldLoss          ID = "motor.field-loss"
	MotorLosesSteps         ID = "motor.loses-steps"
	MotorStartCircuit       ID = "motor.start-circuit"
	MotorStoredCharge       ID = "motor.stored-charge"
	MotorThermalLeftOut     ID = "motor.thermal-left-out"
	MotorThermalUnknown     ID = "motor.thermal-unknown"
	MotorProtector          ID = "motor.protector"

	ReductionMissing   ID = "reduction.missing"
	ReductionDirect    ID = "reduction.direct"
	ReductionGood      ID = "reduction.good"
	ReductionCentre    ID = "reduction.centre"
	ReductionGuard     ID = "reduction.guard"
	ReductionWrap      ID = "reduction.wrap"
	ReductionBend      ID = "reduction.bend"
	ReductionCone      ID = "reduction.cone"
	ReductionBeltSpeed ID = "reduction.belt-speed"
	ReductionRated     ID = "reduction.rated"
	ReductionWorm      ID = "reduction.worm"
	ReductionScrew     ID = "reduction.screw"
	ReductionTwist     ID = "reduction.twist"
	ReductionRating    ID = "reduction.rating"
	ReductionMeasured  ID = "reduction.measured"

	WorkTopSpeedGood ID = "work.top-speed-good"
	WorkTopSpeed     ID = "work.top-speed"
	WorkJobs         ID = "work.jobs"
	WorkJobMissing   ID = "work.job-missing"
	WorkSpread       ID = "work.spread"
	WorkTangent      ID = "work.tangent"
	WorkBreakaway    ID = "work.breakaway"
	WorkDoubt        ID = "work.doubt"
	WorkStacked      ID = "work.stacked"
	WorkFeed         ID = "work.feed"
	WorkFeedGeared   ID = "work.feed-geared"
	WorkNoMarking    ID = "work.no-marking"
	WorkBearing      ID = "work.bearing"
	WorkHands        ID = "work.hands"
	WorkDanger       ID = "work.danger"
	WorkWet          ID = "work.wet"
	WorkDust         ID = "work.dust"
	WorkAir          ID = "work.air"
	WorkJob          ID = "work.job"
	WorkGuess        ID = "work.guess"

	CapacitorDischarge    ID = "capacitor.discharge"
	CapacitorBulged       ID = "capacitor.bulged"
	CapacitorWeak         ID = "capacitor.weak"
	CapacitorOdd          ID = "capacitor.odd"
	CapacitorSound        ID = "capacitor.sound"
	CapacitorElectrolytic ID = "capacitor.electrolytic"
	CapacitorVolts        ID = "capacitor.volts"
	CapacitorSwitchOpen   ID = "capacitor.switch-open"
	CapacitorSwitchStuck  ID = "capacitor.switch-stuck"
	CapacitorSwitchSound  ID = "capacitor.switch-sound"
	LeadsLoneLead         ID = "leads.lone-lead"
	LeadsThermalSwitch    ID = "leads.thermal-switch"
	LeadsThinPair         ID = "leads.thin-pair"
	LeadsPairMissing      ID = "leads.pair-missing"
	LeadsSumOff           ID = "leads.sum-off"
	LeadsBothWays         ID = "leads.both-ways"
)

// Of is the finding as it is said of one job, stage or step.
func (id ID) Of(which ...any) ID {
	var room [64]byte
	out := append(room[:0], id...)
	for _, one := range which {
		out = append(out, '.')
		switch one := one.(type) {
		case string:
			out = append(out, one...)
		case int:
			out = strconv.AppendInt(out, int64(one), 10)
		default:
			out = fmt.Append(out, one)
		}
	}
	return ID(out)
}

// Station is the part of the line a finding speaks of.
func (id ID) Station() Station {
	station, _, _ := strings.Cut(string(id), ".")
	return Station(station)
}
