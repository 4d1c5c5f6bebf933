package fault

// tells are the phrases people tell a symptom by, by its ID. The words of a phrase stand in this order in what is said,
// with others between them; one that ends in ~ is the beginning of a word. A phrase with a mark tells of that symptom
// and of hardly any other. What is said is read without the small words, and every way of denying is "not". Words that
// tell of many things, such as switch, once, turn and start, stand only beside others.
var tells = map[string]string{
	"dead": "!not go at all, !not do anything, !not start at all, !not click, !not even click, !were not plugged, " +
		"!dead, !nothing happens, !nothing at all, nothing, " +
		"!not peep, !no life, !sign " +
		"life, !not " +
		"anything, silent, !no response, !no reaction, !not react, !no sound, !not thing, !not work, " +
		"!no sign, !no lights, !gone quiet, !lifeless, !not respond, !not come on, !not switch on, " +
		"!not turn on, no joy, !refuses start, !refuses run, !not run at all, !power but not, !as " +
		"dead, !stone dead, !not spark life, not run, !completely off, !gives nothing, !not plugged, " +
		"!as if unplugged, !not connected, !not wake",
	"hums": "!loud hum, !hum blade stays, !stays still, !hum stays, !hum~ then, !hum~, !growl~, !buzz~, !twitch~, " +
		"!sits there, not turn, not move, stuck, judder~, !groan~, " +
		"not start, !grunt~, !not budge, !stays put, !drone~, !strains not, not rotate, not go, " +
		"!tries start, !locked up, !moan~, not spin, !throb~, !vibrates not turn, !mutter~, !sits not " +
		"turn, !noise not turn, !noise not start, !noise not spin, !stalled start, !trying turn, " +
		"!wants go not, !jammed",
	"spun": "!if twirl, !twirl takes off, !spin takes off, !twist takes off, !if spin, !flick~, !by hand, !spin " +
		"hand, !spun, !push start, !hand start, !give push, !give spin, get " +
		"going, !nudge~, !shove~, !help round, !help start, !help go, !kick start, !twirl~, !turn " +
		"hand, !pull belt start, !swing~, push, !either way spin, !rotate shaft, !pulled round, !pull " +
		"round, !myself, !get started by, !shaft started, !spin shaft, !spin it, !turn shaft, !turn " +
		"pulley, !with hand, !give turn, !give twist, !start~ if spin, !coax~, !roll~ over, !in " +
		"motion, !already moving, !already turning, !twist~, !rolling, !either direction, !either " +
		"way, !goes whichever way pushed",
	"slow-start": "!ages, !long time speed, !takes long, !labour~ up, !labor~ up, !sluggish, !lazy, !slow~ " +
		"start~, !slow~ come speed, !slow~ get speed, !crawls up, !wind~ up, !takes while, !forever " +
		"speed, up speed, !slow~ get~ going, !slow~ going, !takes seconds, !used speed seconds, " +
		"!takes ten, !longer get speed, !longer start, !longer speed, !slow~ pick~ up, !run up slow~, " +
		"!slowly start~, !accelerat~ slow~, !slow~ accelerat~, !slow~ run up, !slow reach~, !slow " +
		"build~, !start up lazy, !start up slow, !takes longer, !drags up, !takes forever, !not " +
		"snappy, !gradual~, !seconds reach, !seconds get, !creep~ up, !spools slow~, !slowly up, " +
		"!slowly gets, !reluctant, !half minute, !minute reach, !gentle start, !no oomph start, " +
		"!oomph, !soft start, !drawn out, !slow off mark",
	"trips-now": "!snaps off, !breaker snaps, !off moment, !trip~ once, !trip~ immediately, !trip~ instant~, " +
		"!straight away, !straightaway, !pop~ " +
		"moment, !moment switch~, !moment hit, !moment start, !moment press, !soon switch~, !soon " +
		"plug~, !soon turn~, !soon press~, !rcd, !gfci, breaker, trip~, !throws breaker, moment, " +
		"!instantly, !immediately, !lights go out, !switching on trip~, !whole shop dark, !kills " +
		"power, !circuit breaker, !drops soon, !shop goes dark, !breaker drops, !breaker goes, " +
		"!breaker pops, !on first, !at switch on, !bang switch~, !every time switch~, !each time " +
		"switch~, !plug trip~, !breaker plug~, !trips start, !trip~ every time, !mcb, !earth leakage, " +
		"!ground fault, !main switch, !breaker start~, !goes dark, !house dark, !blacks out, !takes " +
		"out, !knocks out, !everything off",
	"trips-later": "!hour breaker, !after hour, !breaker opens, !trip~ after, !trip~ minutes, !minutes then, " +
		"!minutes trip~, !kick~ out, !cut~ out, !after " +
		"while trip~, !after while, !overload kick~, overload, breaker, trip~, !hour trip~, !quarter " +
		"hour, !half hour, !after minutes, !minutes overload, !thermal trips, !minutes stops, !then " +
		"trip~, !when warm trip~, !relay drops, !long cuts, !overload drops, !twenty minutes, !ten " +
		"minutes, !few minutes, !works again later, !works again cool~, !until cool~, !cool~ again, " +
		"minutes, later, !runs minutes, !runs hour, !cuts out, !thermal cut, !shuts off after, !shuts " +
		"down after, !stops after, !stops minutes, !resets itself, !press reset, !hard while, " +
		"!working hard, !after long, !quits, !gives up after, !while trips, !shuts itself",
	"trips-again": "!second start trip~, !start twice, !start~ again, !restart~, !again right " +
		"after, !again straight after, !soon after stop~, " +
		"!right after stop~, !hot restart~, again trip~, trip~ again, !stop start again, !quick~ " +
		"restart, !again quick~, !start again soon, !twice row, !second time trip~, !trip~ second " +
		"time, !before cooled, !wait minute before, !must wait, !have wait, !not restart, !re start, " +
		"!straight back on, !straight after switching, !straight after stop~, !trip~ restart~, !again " +
		"too soon",
	"fuse": "!fuse~, !blow~ fuse~, !fuses, !melts link, !fuse gone, !glass tube",
	"full-at-zero": "!potentiometer nothing, !motor full speed, !full blast, !race~ away, !run~ away, !runaway, " +
		"!flat out, !full speed zero, !full speed " +
		"matter, !full " +
		"speed whatever, !full speed all time, !ignores knob, !matter knob, !matter dial, !matter " +
		"pot, !knob nothing, !full tilt, !takes off zero, !only full speed, knob down, !full speed " +
		"turned down, !full speed knob, !full speed pot, !full speed dial, !no difference, !no " +
		"control, !takes off, !full bore, !top speed zero, !not slow down knob, !full chat, !wide " +
		"open, !always full, !control nothing, !control not, !runs top speed, !just runs top, !knob " +
		"not, !dial not, !pot not, !dial nothing, !pot nothing, !bolts, !maximum speed, !one speed, " +
		"!stuck fast, !stuck full, !goes mad, !speed not change, !slider nothing, !cannot control, " +
		"!not control, !goes maximum, !knob useless, !straight maximum, !knob no effect, !no effect, " +
		"!useless",
	"zero-first": "!all way down before, !way down before, !down before starts, !zero before starts, !bring knob " +
		"zero, !bring zero, !zero or, !back zero, !zero first, !until zero, !down first, " +
		"!turn zero, !must zero, !knob zero " +
		"before, !not until knob, !zero before, !nought before, !knob nought, !back nought, !wind " +
		"back, !down before start, !back down before, !off first, !minimum first, !down then up, !all " +
		"way back, !unless turn, !dial back, !knob back, !pot back, !not run unless, !not start " +
		"unless, !unless knob, !unless dial, !knob must, !dial must, !pot must, !reset knob, !reset " +
		"dial, !return zero, !start zero, !only starts zero, !fully down, !down and up, !down up " +
		"again, !until turn knob, !until turn speed, !not until, !nothing until",
	"hunts": "!hunt~, !surg~, !up down, !wander~, !puls~, !oscillat~, !unsteady, !speed varies, !speed " +
		"drifts, !not hold speed, !not steady, !not hold steady, !speed changes, !speeds up slows, " +
		"!fluctuat~, !faster slower, !not settle, !yo yo, !speed cycles, !swings, !speed all over, " +
		"!hunting, !speed jumps, !not constant, !irregular, !jerky, !jerks, !rhythm~, !varies itself, " +
		"!slow fast slow, !keeps changing, !speed uneven, !unstable, !lurch~, !cycling, !ripple",
	"sags": "!wheel stops, !stops when, !bog~, !no guts, !gutless, !slow~ crawl, !slow~ load, !slow~ under, !slow~ " +
		"cut~, !loses " +
		"power, !no power, !weak, !sag~, !drop~ off, !lean, !stall~, !labour~ under, !labor~ under, " +
		"!not pull, !no torque, slow~ down, !stop it thumb, !stop thumb, !stop hand, !slow~ right " +
		"down, !dies cut, !no grunt, !feeble, !lugs, !struggl~, !drops speed, !speed drops, !slow~ " +
		"press, !slow~ push, !no strength, !underpowered, !gives up, !load slow~, !loses speed, " +
		"!thick, !heavy cut, !deep cut, !into work, !speed falls, !falls off load, !not hold load, " +
		"!under pressure, !load stops, !stops cut, !stops load, !slows, !bit work, !push work, !hard " +
		"wood, !revs drop, !drop revs, !big pot, !poor torque, !lacks, !runs out steam, !torque, " +
		"!oomph cut, !speed falls away, !bites speed, !no oomph, !no puff",
	"top-low": "!half speed, !not full speed, !not top speed, !not reach, !too slow, !not fast enough, !only " +
		"gets, !slower than, !top speed low, !not max~, !not gets speed, half, !tops out, !only " +
		"reaches, !only manages, !only makes, !should do, !not up full, !speed low, !top end low, " +
		"!not get above, !not over rpm, !less than rpm, !slower used, !down speed, !fastest goes, " +
		"!two thirds, !last few, !three quarters, !not get last, !only does, !flat out only, !full " +
		"knob only, !maximum only, !not go faster, !will not go fast~, !not go fast~, !below rated, " +
		"!less speed, !runs slow, !runs slower, !turns slow~, !half revs, !short top, !top speed " +
		"down, !never full, !lost top, !slow~ than should, !speed on plate, !max only, !instead, !not " +
		"get up speed, !not up speed, !not come up, !rated speed, !plate speed",
	"slow-fast": "!slow enough, !too fast, !slowest fast, !not go slow~, !even bottom, !lowest fast, !slow " +
		"end, !minimum fast, !not slow down enough, bottom, !too quick, !lowest quick, !lowest " +
		"setting, !slowest setting, !minimum speed, !slowest speed, !not slow~ below, !crawl fast, " +
		"!lowest spins, !minimum spins, !bottom spins, !bottom fast, !too high bottom, !low end fast, " +
		"!slowest still, !lowest still, !minimum still, !not go below, !not turn down, !crawl too, " +
		"!too lively",
	"one-way": "!only forwards, !only goes forwards, !forwards only, !forwards not, !forwards fine, !nothing " +
		"reverse, !forward fine, !fine forward, !one way, !one direction, !only forward, !reverse " +
		"nothing, !not reverse, !no reverse, " +
		"!forward works, !only turns forward, !reverse not, !forward not backward, !forward not " +
		"reverse, !only clockwise, !only goes forward, !refuses reverse, !reverse dead, !clockwise " +
		"only, !forward only, !only one, !direction switch nothing, !direction switch not, !reversing " +
		"switch, !left only, !right only, !will not backwards, !not go backwards, !not backwards, " +
		"!same way, !whichever way",
	"wrong-way": "!backward~, !wrong way, !wrong direction, !other way round, !runs reverse, !opposite, !turns " +
		"reverse, !anticlockwise, !anti clockwise, !counterclockwise, !wrong round, !reversed, !wrong " +
		"rotation, !rotates wrong, !spin~ wrong, !turn~ wrong, !run~ wrong, !reverse rotation, " +
		"!against arrow, !undoes chuck, !unscrews",
	"keeps-turning": "!carries on, !keeps turning, !keeps running, !keeps going, !keeps spinning, !not stop, !runs " +
		"on, !still turns, !press~ stop still, !coasts forever, !kept running, !kept on, !kept going, " +
		"!kept turning, !kept spinning, !carried on, !switch~ off still, !still running, !still " +
		"going, !switch~ off kept, !not switch off, !not turn off, !spins on, !still turn~, !after " +
		"stop, !minute after, !after press~, !after hit stop, !after let go, !off still, !off keeps, " +
		"!stop button nothing, !stop not, !ignores stop, !not shut off, !not go off, !goes on after, " +
		"!never stops, !estop not, !goes on on, !stop nothing, !on and on, !stop button not",
	"starts-itself": "!suddenly start~, !started while, !changing bit, !while changing, !by itself, !on own, !by " +
		"own, !starts alone, !power came back, !power comes back, came on, " +
		"!nobody, !start~ itself, comes on, !switch~ itself, !turn~ itself on, !all itself, !without " +
		"touch~, !unattended, !starts up own, !went itself, !power returned, !power cut start~, !no " +
		"one, !started turning, !started itself, !springs life, !jumps life, !restarts itself, " +
		"!ghost, !power cut, !power failure, !mains returned, !electricity returned, " +
		"!plugged starts, !starts plug~, !as soon plugged runs, !own accord, !electricity, !restored, " +
		"!power back, !outage, !blackout",
	"squeal": "!squeal~, !scream~, !screech~, !shriek~, !squeak~, !whine~ start~, !chirp~, !howl~, !shrill, " +
		"!pig, !high pitched, !yelp~",
	"belt-dust": "!dust, !crumb~, !belt worn, !belt wear~, !rubber, !black powder, !shred~, !belt fray~, !belt " +
		"eaten, !black bits, !belt bits, !belt crack~, !belt glaz~, !belt wears, !shedding, !black " +
		"stuff, !belt black, !belt shed~, !belt edge, !belt chew~, !belt disintegrat~, !belt falling " +
		"apart, !belt eats, !belts last, !powder under, !belt burn~, !soot",
	"shakes": "!shak~, !vibrat~, !rattl~, !wobbl~, !resonan~, !walks, !trembl~, !judders around, around " +
		"rpm, at one speed, !shudder~, !bounc~, !buzzes around rpm, !danc~, !shimm~, !buzzes bench, " +
		"!walk~ across, !certain speed, !one particular speed, !particular rpm, !out balance, " +
		"!unbalance~, !imbalance~, !whole machine moves, !quiver~, !jigg~, !throws itself",
	"rough": "!rough, !grind~, !gravel, !rumbl~, !knock~, !clatter~, !crunch~, noisy, bearing~, !scrap~, " +
		"!clunk~, !graunch~, !grating, !scratch~, !clank~, !tick~ noise, !rubbing, !dry bearing, " +
		"!whirr~, !roar~, !rasp~, !squelch~, !bearing noise, !noise headstock, !sounds like, " +
		"!metallic, !gritty, !growl~ bearing~, noise, !stones",
	"sparks": "!spark~, !arcs, !arcing, !flash~, !fire, !fireworks, commutator, brush~, !blue light, !glow~ " +
		"brush~, !lightning, !blue ring, !burn~ commutator, !black commutator, !brush~ burn~, !brush~ " +
		"worn, !flame~, !star~ brush~",
	"smell": "!burning smell, !smell after, !burnt smell, !smell~, !smok~, !stink~, !stench, !burnt, !burning, " +
		"!reek~, !whiff, !fumes, !singe~, !pong, " +
		"!odour, !odor, !acrid, varnish, !whiffs, !burn~ plastic, !electrical smell, !hot smell, " +
		"!haze, !fumy, !varnish smell",
	"hot": "!burning hot, !too hot, !hot, !heat~, !hand on, !overheat~, !boiling, !scald~, !warm~, !burns fingers, " +
		"!roasting, !fry egg, !cooking, !temperature, !cooks, !scorch~, !cannot touch, !not touch, " +
		"!too warm, !blister~, !sizzl~, !burns hand, !degrees, !gets hot, !runs hot, !hot hold, !hot " +
		"hand, !cook~",
	"tacho": "!tach~, !tach jumps, !rev counter, !nonsense, !rubbish, !wrong reading, !reading jump~, !jumps about, " +
		"!erratic, !shows wrong, meter, reading~, !silly numbers, !display jump~, !jumps all over, " +
		"!jump~ around, !readout, !rpm display, !reads wrong, !reads zero, !shows zero, " +
		"!speed reading, !speed display, !sensor read~, !reads high, !reads double, !reads half, " +
		"!reads low, !wrong rpm, !rpm wrong, !rpm shows, !gauge, !digital read~, !meter shows, " +
		"!numbers jump~, !indicat~ wrong, !pickup",
	"tingle": "!tingl~, !tickl~, !shock~, !buzz touch~, !bites, !bite, !live frame, !electric~ touch~, " +
		"!zap~, !touch~ frame, !touch~ metal, !prickl~, touch~, !belt off handle, !belt off frame, " +
		"!electric belt, !jolt~, !live casing, !live case, !electrocut~, !buzz frame, !fizz~, " +
		"!static, !feel electric~, !feel current, !electric feeling, !vise shock, !nip~, !tester " +
		"lights frame, !alive, !live touch, !hair",
	"over-amps": "!trips oc, !oc start, !oc alarm, !oc error, !inverter oc, !drive oc, !vfd oc, !oc, !oc1, !oc2, " +
		"!oc3, !over current, !overcurrent, !over amps, !too much current, !too many " +
		"amps, !current fault, !over amp~, !eoc, !e oc, !oca, !ocd, !ocn, !oc fault, !overcurrent " +
		"trip~, !peak current, !current trip, !current limit fault, !short circuit fault, !f0001",
	"over-volts": "!ov slow~, !ou slow~, !ov stop~, !ou stop~, !ov brak~, !ou, !ov, !ou1, !ou2, !ou3, !ov1, !over " +
		"volt~, !overvolt~, !bus high, !high bus, !bus over~, " +
		"!too many volts, !high volt~, !oe, !error braking, !fault stopping, !eov, !e ov, !ova, !ovd, " +
		"!dc high, !regen~, !deceleration fault, !slow~ down fault, !brak~ fault, !fault brak~, !ov " +
		"fault, !voltage high",
	"under-volts": "!uv, !lu, !lv, !uv1, !lu1, !under volt~, !undervolt~, !low volt~, !bus low, !low bus, " +
		"!brownout, !uu, !uu1, !e uv, !undervoltage, !voltage low, !dc low, !bus under, !uvt, !lvt, " +
		"!low supply, !low line",
	"overload": "!ol2 after, !ol after, !ol1 after, !ol2 alarm, !ol, !ol1, !ol2, !shows overload, !says overload, " +
		"!overload fault, !overload relay, " +
		"!thermal " +
		"fault, !fault overload, !display overload, overload, !oh, !says ol, !overload display, " +
		"!overload drive, !thermal relay, !motor overload, !trips overload, !drive overload, " +
		"!inverter overload, !eol, !e ol, !olu, !i2t, !electronic thermal, !thl, !thermal overload, " +
		"!relay tripped, !red button popped, !overloaded, !oh1",
	"no-drive": "!still although motor, !still motor whizz~, !chuck dead still motor, !nothing spindle, !spindle " +
		"nothing, !motor sounds fine, !motor whizz~, !nothing happens spindle, !motor perfectly nothing, !motor " +
		"turning happily, " +
		"!motor fine but, !not move motor, !not turn motor, !not turn though motor, !stands motor, !still while " +
		"motor, !stands while motor, !dead while motor, !motor quill not, !quill not, !motor hums not go " +
		"round, !motor happily not, !motor happy not, " +
		"!motor spinning nothing, !motor spinning not, !motor spins not, !nothing comes out, !work stops motor, " +
		"!stops turning while motor, !motor keeps on, !motor goes round not, !motor fine chuck, !motor fine " +
		"spindle, !motor fine blade, !motor fine wheel, !only motor turns, !motor on nothing, !motor spins but, " +
		"!motor runs but, !motor turns but, !motor running but, !motor goes but, !spindle slack, !stopped driving, " +
		"!not driving, !not drive, !lost drive, !motor whirrs, !motor spins away, !motor runs away happily, " +
		"!motor turns saw stands, !motor turns not, !motor runs not, !motor spins not, !motor goes not, " +
		"!motor runs " +
		"stands, !motor turns stands, !motor fine not turn, !spindle stands still, !spindle not turn, !wheel head " +
		"not turn, " +
		"!chuck not turn, !drum not turn, !blade not turn, !blade stands, !stands still, !work not turn, !machine " +
		"not turn, " +
		"!nothing turns motor, !motor hear nothing turns, !free wheels, !freewheels, !drive lost, !no drive, " +
		"!motor spins nothing, !motor spins freely, !motor runs free, !motor running not, !motor running nothing, " +
		"!motor humming along not, !hear motor not turn, !motor turns nothing, !motor runs nothing, !just spindle " +
		"dead, " +
		"!motor revs not, !motor whirrs not, !motor alone turns, !motor turning not, !motor turning stands, !not " +
		"follow, " +
		"!not driven, !output not turn, !shaft spins not",
	"one-speed": "!fast works slow not, !speed works slow, !fast speed works, !slow speed works, !high works low " +
		"not, !low works high not, !works on high, !works on low, !only fast, !only slow, !low speed gone, !low " +
		"gone, !high gone, !slow gone, !speed gone, !only run setting, !only works " +
		"setting, !only runs setting, !only goes setting, !position two, !position one, !position three, " +
		"!position nothing, !setting three, !setting two, !setting one, !runs slow setting, !runs fast setting, " +
		"!high speed only, !low speed only, !slow speed only, !fast speed only, !top setting only, !speed " +
		"stopped working, !speed not work, !only fast setting, !only slow setting, !slow nothing, " +
		"!fast nothing, !low speed dead, !high speed dead, !middle speed, !one speed dead, !one speed not, !speed " +
		"dead, " +
		"!only high, !only low, !slow not work, !low nothing, !high nothing, !setting nothing, !setting not work, " +
		"!setting dead, !one setting, !other two fine, !other speeds fine, !others fine, !other fine, !lost low, " +
		"!lost high, " +
		"!lost one speed, !low not work, !high not work, !works fast not slow, !works slow not fast, !first speed, " +
		"!second speed, !speed two, !speed one, !speed three, !missing speed, !speed missing, !position not work, " +
		"!no low speed, !no slow speed, !no high speed, !no fast speed, !only works fast, !only works slow, !only " +
		"runs fast, " +
		"!only runs slow, !runs only fast, !runs only slow",
	"loses-steps": "!loses steps, !lost steps, !losing steps, !misses steps, !missed steps, !missing steps, !skip~ " +
		"steps, " +
		"!loses place, !loses position, !lost position, !out position, !drifts position, !position drifts, " +
		"!position out, " +
		"!not come back zero, !not return zero, !not return same, !not back same, !comes back wrong, !steps lost, " +
		"!skips, " +
		"!ends wrong place, !off position, !not repeat, !divisions wrong, !divisions out, !step~ missing, !out step, " +
		"!loses count, !creeps position, !zero moved, !moves short, !stops short, !index~ wrong, !index~ out, " +
		"!axis off, " +
		"!axis short, !not where should, !short distance",
	"loud": "!noisy, !noisier, !twice noisy, !noise dreadful, !dreadful whine, !terrible whine, !awful whine, " +
		"!awful noise, !horrible noise, !makes noise used, !loud~, !louder, !noisier, !too loud, !din, !racket, " +
		"!noise worse, !more noise, !makes noise, !whin~, " +
		"!whistl~, " +
		"!sings, !singing, !hum~ louder, !drone~ loud, !deafen~, !ear defenders, !noisy, !never used noise, !noise " +
		"used, " +
		"!new noise, !strange noise, !odd noise, !funny noise, !high pitched whine, !rattl~ cover, !sheet metal, " +
		"!tinny",
	"belt-walks": "!throws belt every, !throws belt, !throws off belt, !belt every few, !belt jump~ off, !jump~ " +
		"off pulleys, !jump~ off wheel, !keeps jumping off, !keeps coming off, " +
		"!belt slides off, !belt rolls off, !belt wants off, !belt not straight, !belt one edge, !blade off " +
		"wheels, !belt moves sideways, !sideways, !belt wander~, !belt walk~, !belt runs off, !belt run~ off, " +
		"!belt jumps off, !belt comes off, " +
		"!belt slips off, " +
		"!belt creeps, !belt drifts, !belt track~, !tracking, !belt side, !belt one side, !belt thrown, !throws " +
		"belt, " +
		"!throws its belt, !sheds belt, !belt edge wheel, !band wander~, !band walk~, !band runs off, !band drifts, " +
		"!blade wander~, !blade drifts, !blade runs off, !blade comes off, !walks off, !runs off wheel, " +
		"!climbs off, !belt not stay, !belt will stay, !band not stay, !belt not keep, !band not track, " +
		"!belt rides, !belt crawls, !belt off again, !belt keeps coming off, !belt flies off",
}
