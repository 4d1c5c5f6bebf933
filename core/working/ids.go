package working

import (
	"strconv"
	"strings"
)

// ID names the figure a working derives, its station first: it stays the same from answer to answer.
type ID string

// The workings there are; one of a job, a stage or a step is told apart with [ID.Of].
const (
	SupplyBreaker      ID = "supply.breaker"
	SupplyConductor    ID = "supply.conductor"
	SupplyDrop         ID = "supply.drop"
	SupplyInrush       ID = "supply.inrush"
	SupplyArmatureFuse ID = "supply.armature-fuse"
	SupplyBox          ID = "supply.box"
	SupplyBoxSize      ID = "supply.box-size"
	SupplyInput        ID = "supply.input"
	SupplySag          ID = "supply.sag"
	SupplyLasts        ID = "supply.lasts"

	ControlCollapse   ID = "control.collapse"
	ControlWaste      ID = "control.waste"
	ControlVolts      ID = "control.volts"
	ControlBase       ID = "control.base"
	ControlSlowest    ID = "control.slowest"
	ControlTop        ID = "control.top"
	ControlFormFactor ID = "control.formFactor"

	MotorEfficiency  ID = "motor.efficiency"
	MotorPoles       ID = "motor.poles"
	MotorSlip        ID = "motor.slip"
	MotorStart       ID = "motor.start"
	MotorSlow        ID = "motor.slow"
	MotorTorque      ID = "motor.torque"
	MotorAmps        ID = "motor.amps"
	MotorSpeed       ID = "motor.speed"
	MotorPower       ID = "motor.power"
	MotorK           ID = "motor.k"
	MotorResistance  ID = "motor.resistance"
	MotorFriction    ID = "motor.friction"
	MotorReactance   ID = "motor.reactance"
	MotorSpeedAt     ID = "motor.speed-at"
	MotorCorner      ID = "motor.corner"
	MotorFan         ID = "motor.fan"
	MotorGearSpeed   ID = "motor.gear-speed"
	MotorGearTorque  ID = "motor.gear-torque"
	MotorInertia     ID = "motor.inertia"
	MotorKe          ID = "motor.ke"
	MotorStall       ID = "motor.stall"
	MotorSynchronous ID = "motor.synchronous"
	MotorBreakdown   ID = "motor.breakdown"

	ReductionRatio      ID = "reduction.ratio"
	ReductionMeasured   ID = "reduction.measured"
	ReductionEfficiency ID = "reduction.efficiency"
	ReductionBelt       ID = "reduction.belt"
	ReductionWrap       ID = "reduction.wrap"
	ReductionSpeed      ID = "reduction.speed"
	ReductionRating     ID = "reduction.rating"

	WorkAir ID = "work.air"

	ReachTorque ID = "reach.torque"
	ReachSpeed  ID = "reach.speed"
	ReachBurst  ID = "reach.burst"
	ReachPeak   ID = "reach.peak"

	JobMargin      ID = "job.margin"
	JobLargest     ID = "job.largest"
	JobRunUp       ID = "job.run-up"
	JobFall        ID = "job.fall"
	JobBites       ID = "job.bites"
	JobRim         ID = "job.rim"
	ReductionAside ID = "reduction.aside"
	JobGoesBy      ID = "job.goes-by"
	JobBreakaway   ID = "job.breakaway"
	JobTorque      ID = "job.torque"
	JobSpeed       ID = "job.speed"
	JobSpecific    ID = "job.specific"
	JobPower       ID = "job.power"
	JobWatts       ID = "job.watts"
	JobRemoval     ID = "job.removal"
	JobInertia     ID = "job.inertia"
	JobFeed        ID = "job.feed"

	SettingReset          ID = "setting.reset"
	SettingMotorAmps      ID = "setting.motor-amps"
	SettingBase           ID = "setting.base"
	SettingPoles          ID = "setting.poles"
	SettingTop            ID = "setting.top"
	SettingMin            ID = "setting.min"
	SettingCarrier        ID = "setting.carrier"
	SettingRestart        ID = "setting.restart"
	SettingPhaseLoss      ID = "setting.phase-loss"
	SettingMode           ID = "setting.mode"
	SettingStop           ID = "setting.stop"
	SettingPhaseAmps      ID = "setting.phase-amps"
	SettingHold           ID = "setting.hold"
	SettingMicrosteps     ID = "setting.microsteps"
	SettingPulses         ID = "setting.pulses"
	SettingCapacitorVolts ID = "setting.capacitor-volts"
	SettingStarts         ID = "setting.starts"
	SettingOverload       ID = "setting.overload"
	SettingRotation       ID = "setting.rotation"
	SettingSwitchClick    ID = "setting.switch-click"
	SettingLineLink       ID = "setting.line-link"
	SettingArmatureLink   ID = "setting.armature-link"
	SettingSense          ID = "setting.sense"
	SettingZero           ID = "setting.zero"
	SettingMax            ID = "setting.max"
	SettingIr             ID = "setting.ir"
	SettingFuse           ID = "setting.fuse"
	SettingOhms           ID = "setting.ohms"
	SettingAccel          ID = "setting.accel"
	SettingDecel          ID = "setting.decel"
	SettingLimit          ID = "setting.limit"
	SettingKnob           ID = "setting.knob"
	SettingEnable         ID = "setting.enable"

	Trial ID = "trial" // of a figure of a trial, by its name
)

// Of is the working of what is named: a job.
func (id ID) Of(name string) ID { return id + "." + ID(name) }

// At is the working of one of a list, counted from 0: a stage, and a step of it.
func (id ID) At(indices ...int) ID {
	var room [64]byte
	out := append(room[:0], id...)
	for _, i := range indices {
		out = strconv.AppendInt(append(out, '.'), int64(i), 10)
	}
	return ID(out)
}

// Station is the part of the line whose figure it is: what reaches the spindle and the jobs are the work's,
// a setting is the control's.
func (id ID) Station() string {
	switch first, _, _ := strings.Cut(string(id), "."); first {
	case "reach", "job":
		return "work"
	case "setting":
		return "control"
	default:
		return first
	}
}
