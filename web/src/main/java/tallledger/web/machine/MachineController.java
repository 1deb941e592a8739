package tallledger.web.machine;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.util.MultiValueMap;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import tallledger.core.drive.DriveTrain;
import tallledger.core.drive.LeverPattern;
import tallledger.core.drive.MotorRating;
import tallledger.core.drive.MovedBy;
import tallledger.core.drive.Shifting;
import tallledger.core.drive.StageKind;
import tallledger.core.family.Family;
import tallledger.core.family.FitOut;
import tallledger.core.family.StartingDescription;
import tallledger.core.gauge.Grade;
import tallledger.core.ledger.LedgerReason;
import tallledger.core.machine.Claim;
import tallledger.core.machine.MachineDescription;
import tallledger.core.motion.Axis;
import tallledger.core.motion.FeedPlate;
import tallledger.core.motion.ThreadPlate;
import tallledger.core.plate.Lever;
import tallledger.core.plate.PlateCheck;
import tallledger.core.plate.SpeedPlate;
import tallledger.core.reading.TypedNumber;
import tallledger.core.reason.Reason;
import tallledger.core.survey.PlateDoubt;
import tallledger.core.unit.LengthUnit;
import tallledger.web.cache.Memo;
import tallledger.web.fitout.FitOutForm;
import tallledger.web.forms.AuthorCookie;
import tallledger.web.forms.FormInput;
import tallledger.web.forms.MachineWriter;
import tallledger.web.housebook.Houses;
import tallledger.web.library.MachineBooks;
import tallledger.web.library.StoredMachine;
import tallledger.web.library.SurveyLibrary;
import tallledger.web.store.Submission;
import tallledger.web.words.WebReason;
import tallledger.web.words.Words;

/** The Machine screen: what it is, what is said of it, its drive and plate. */
@Controller
@RequestMapping("/machines")
class MachineController {

    private static final String FORM = "machine/form";
    private static final int MOST_KEPT = 32;

    private final SurveyLibrary library;
    private final MachineBooks machineBooks;
    private final Houses houses;
    private final AuthorCookie writer;
    private final MachineWriter machines;
    private final Words words;
    private final Memo<AskedDrive, DriveView> drives = new Memo<>(MOST_KEPT,
            a -> DriveView.of(a.train, a.plate, a.motor, a.claimed, a.units));

    private final Memo<SpeedPlate, PlateCheck> threadChecks = new Memo<>(MOST_KEPT, PlateCheck::ofThreads);
    private final Memo<SpeedPlate, PlateCheck> feedChecks = new Memo<>(MOST_KEPT, PlateCheck::ofFeeds);

    /** A drive as described or typed. */
    private record AskedDrive(DriveTrain train, SpeedPlate plate, Optional<MotorRating> motor, OptionalInt claimed, DriveView.Units units) {
    }

    MachineController(SurveyLibrary library, MachineBooks machineBooks, Houses houses, AuthorCookie writer, Words words,
            MachineWriter machines) {
        this.machines = machines;
        this.words = words;
        this.library = library;
        this.machineBooks = machineBooks;
        this.houses = houses;
        this.writer = writer;
    }

    @GetMapping("/{id}")
    String show(@PathVariable long id, @RequestParam Optional<String> unnamed, Model model, HttpServletRequest request) {
        StoredMachine machine = library.machine(id);
        model.addAttribute("machine", machine);
        model.addAttribute("grid", PlateGrid.of(machine.description().plate().levers()));
        model.addAttribute("surveys", library.surveysOf(machine));
        model.addAttribute("submission", Submission.fresh(0));
        model.addAttribute("feedGrid", machine.description().feeds().map(f -> PlateGrid.of(f.plate().levers(), PlateGrid.FEED))
                .orElse(null));
        model.addAttribute("feedCheck", machine.description().feeds().map(f -> feedChecks.of(f.plate())).orElse(null));
        model.addAttribute("threadGrid", machine.description().threads().map(t -> PlateGrid.of(t.plate().levers(), PlateGrid.THREAD))
                .orElse(null));
        model.addAttribute("threadCheck", machine.description().threads().map(t -> threadChecks.of(t.plate())).orElse(null));
        model.addAttribute("change", Submission.fresh(machine.head()));
        MachineDescription d = machine.description();
        DriveView drive = drives.of(new AskedDrive(d.train(), d.plate(), d.motor(), claimedSpeeds(d), DriveView.Units.of(d.unit())));
        model.addAttribute("drive", drive);
        model.addAttribute("doubts", drive.remarks().stream().map(r -> new PlateDoubt(r, Optional.empty())).toList());
        model.addAttribute("author", writer.known(request).orElse(machine.lastAuthor()));
        model.addAttribute("unnamed", unnamed.isPresent());
        model.addAttribute("grades", Grade.values());
        return "machine/show";
    }

    @GetMapping("/new")
    String blank(@RequestParam Optional<String> start, Model model, HttpServletRequest request) {
        FormInput typed = start.flatMap(StartingDescription::named).map(MachineForm::blank).orElseGet(MachineForm::blank);
        typed.set("author", writer.known(request).orElse(""));
        return form(model, Optional.empty(), typed, Submission.fresh(0), start.isPresent() ? MachineForm.leversSoFar(typed) : List.of());
    }

    /** What the drive as typed so far gives: the live half of the Drive screen. */
    @PostMapping("/preview")
    String preview(@RequestParam MultiValueMap<String, String> fields, Model model) {
        FormInput typed = FormInput.of(fields);
        model.addAttribute("typed", typed);
        model.addAttribute("drive", drive(typed));
        model.addAttribute("feedCheck", plateCheck(typed, PlateGrid.FEED));
        model.addAttribute("threadCheck", plateCheck(typed, PlateGrid.THREAD));
        model.addAttribute("soFar", soFar(typed, Optional.empty()).map(s -> s.says(houses.newest().rules())).orElse(null));
        return "machine/preview :: panel";
    }

    /** The feed or thread plate checked as far as it is typed, by the same rules as the speed plate. */
    private PlateCheck plateCheck(FormInput typed, String prefix) {
        FormInput own = typed.withoutErrors();
        List<Lever> levers = MachineForm.levers(own, prefix);
        return levers.isEmpty() ? null
                : (prefix.equals(PlateGrid.THREAD) ? threadChecks : feedChecks)
                        .of(MachineForm.plateSoFar(own, levers, prefix));
    }

    /** The machine as far as it is typed; empty while family, drive or axes make no sense. */
    private static Optional<SoFar> soFar(FormInput typed, Optional<MachineDescription> before) {
        FormInput own = typed.withoutErrors();
        LengthUnit unit = own.holds("unit", LengthUnit.INCH.name()) ? LengthUnit.INCH : LengthUnit.MM;
        Optional<Family> family = own.choice("family", Family.class);
        List<Lever> feedLevers = MachineForm.levers(own, PlateGrid.FEED);
        List<Lever> threadLevers = MachineForm.levers(own, PlateGrid.THREAD);
        Optional<ThreadPlate> threads = threadLevers.isEmpty() ? Optional.empty()
                : Optional.of(new ThreadPlate(MachineForm.plateSoFar(own, threadLevers, PlateGrid.THREAD), ThreadPlate.Counted.PITCH_MM));
        Optional<FeedPlate> feeds = feedLevers.isEmpty() ? Optional.empty()
                : Optional.of(new FeedPlate(MachineForm.plateSoFar(own, feedLevers, PlateGrid.FEED), unit, Axis.Per.REV));
        return family.flatMap(f -> MachineForm.train(own).flatMap(train -> MachineForm.fitOut(own, f, unit, before)
                .map(fit -> new SoFar(f, unit, train, MachineForm.plateSoFar(own, MachineDescription.leversOf(train), PlateGrid.SPEED),
                        feeds, threads, fit))));
    }

    private DriveView drive(FormInput typed) {
        FormInput own = typed.withoutErrors();
        Optional<DriveTrain> train = MachineForm.train(own);
        Optional<MotorRating> motor = MachineForm.motor(own, houses.newest().rules());
        Optional<DriveView> view = train.flatMap(t -> own.attempt("stages", () -> drives.of(new AskedDrive(t,
                MachineForm.plateSoFar(own, MachineDescription.leversOf(t), PlateGrid.SPEED), motor, OptionalInt.empty(),
                DriveView.Units.of(typed.holds("unit", LengthUnit.INCH.name()) ? LengthUnit.INCH : LengthUnit.MM)))));
        own.errors().forEach(typed::refuse);
        return view.orElse(null);
    }

    /** Accepts what a suspect cell means, as a new version of the description; the plate's own reading is kept beside it. */
    @PostMapping("/{id}/accept")
    String accept(@PathVariable long id, @RequestParam MultiValueMap<String, String> fields, HttpServletResponse response) {
        StoredMachine machine = library.machine(id);
        FormInput typed = FormInput.of(fields);
        Submission submission = new Submission(typed.get("submission"), typed.wholeOr("seen", 0));
        machineBooks.acceptReading(machine, typed.all("at"), typed.get("means"), typed.get("author"), submission);
        writer.remember(response, typed.get("author"), submission);
        return "redirect:/machines/" + id;
    }

    @GetMapping("/{id}/edit")
    String edit(@PathVariable long id, Model model, HttpServletRequest request) {
        StoredMachine machine = library.machine(id);
        FormInput typed = MachineForm.write(machine.description());
        typed.set("author", writer.known(request).orElse(""));
        return form(model, Optional.of(machine), typed, Submission.fresh(machine.head()),
                machine.description().plate().levers());
    }

    /** A sister machine: all of this one's but its serial number, its plate to be read again. */
    @GetMapping("/{id}/sister")
    String sister(@PathVariable long id, Model model, HttpServletRequest request) {
        StoredMachine machine = library.machine(id);
        FormInput typed = MachineForm.write(machine.description());
        List.of("serial", "year", "seenAt", "offeredBy").forEach(field -> typed.set(field, ""));
        typed.set("name", machine.name() + " (2)");
        IntStream.range(0, MachineForm.claimRows(typed)).forEach(i -> MachineForm.clearClaim(typed, i));
        typed.set("author", writer.known(request).orElse(""));
        return form(model, Optional.empty(), typed, Submission.fresh(0), machine.description().plate().levers());
    }

    /** The Drive screen: the same form with identity and claims folded away. */
    @GetMapping("/{id}/drive")
    String drive(@PathVariable long id, Model model, HttpServletRequest request) {
        model.addAttribute("driveOnly", true);
        return edit(id, model, request);
    }

    @PostMapping
    String add(@RequestParam MultiValueMap<String, String> fields, Model model, HttpServletResponse response) {
        return save(Optional.empty(), FormInput.of(fields), model, response);
    }

    @PostMapping("/{id}")
    String change(@PathVariable long id, @RequestParam MultiValueMap<String, String> fields, Model model,
            HttpServletResponse response) {
        return save(Optional.of(library.machine(id)), FormInput.of(fields), model, response);
    }

    /** What the machine's steps and speeds are called, by their keys. */
    private Map<String, String> stepNames(Optional<SoFar> soFar) {
        Map<String, String> names = new LinkedHashMap<>();
        soFar.map(s -> s.steps(houses.newest().rules())).orElse(List.of())
                .forEach(step -> names.put(step.id().written(), words.say(step.name())));
        soFar.map(SoFar::routes).orElse(List.of())
                .forEach(route -> names.put(route.key(), words.say("page.speed", soFar.orElseThrow().train().name(route))));
        return names;
    }

    /** A claim is tied to steps and speeds by their names, as they were chosen; kept are their keys. */
    private void tie(FormInput typed, Optional<StoredMachine> machine) {
        List<String> rows = IntStream.range(0, MachineForm.claimRows(typed)).mapToObj(i -> "claim" + i + ".testedBy").filter(typed::has)
                .toList();
        if (rows.isEmpty()) {
            return;
        }
        Map<String, String> names = stepNames(soFar(typed, machine.map(StoredMachine::description)));
        rows.forEach(row -> {
            List<String> keys = new ArrayList<>();
            MachineForm.tied(typed.get(row))
                    .forEach(name -> names.entrySet().stream().filter(e -> e.getValue().equals(name) || e.getKey().equals(name)).findFirst()
                            .ifPresentOrElse(e -> keys.add(e.getKey()),
                                    () -> typed.refuse(row, Reason.of(WebReason.CLAIM_STEP_UNKNOWN, name))));
            if (!typed.isWrong(row)) {
                typed.set(row, String.join("; ", keys));
            }
        });
    }

    private String save(Optional<StoredMachine> machine, FormInput typed, Model model, HttpServletResponse response) {
        Submission submission = new Submission(typed.get("submission"), typed.wholeOr("seen", 0));
        if (!typed.get("do").equals("save")) {
            return rework(machine, typed, model, submission);
        }
        if (!typed.has("author")) {
            typed.refuse("author", Reason.of(LedgerReason.AUTHOR_MISSING));
        }
        TakenAlong.take(typed, axes(machine, typed));
        tie(typed, machine);
        Optional<MachineDescription> description = MachineForm.description(typed, machine.map(StoredMachine::description),
                houses.newest().rules());
        if (description.isEmpty() || !typed.isClean()) {
            response.setStatus(422);
            return form(model, machine, typed, submission, MachineForm.leversSoFar(typed));
        }
        return machines.write(machine, description.get(), typed, submission, response,
                next -> form(model, machine, typed, next, MachineForm.leversSoFar(typed)));
    }

    /** Buttons that change the form and save nothing: lay out the plate, fill it from a paste, more claim rows. */
    private String rework(Optional<StoredMachine> machine, FormInput typed, Model model, Submission submission) {
        if (typed.get("do").equals("more")) {
            typed.set("claimRows", String.valueOf(MachineForm.claimRows(typed) + 3));
        }
        String prefix = PlateGrid.prefixOf(typed.get("do"));
        String what = typed.get("do").substring(prefix.length());
        if (what.matches("use\\d{1,2}")) {
            int chosen = Integer.parseInt(what.substring(3));
            PlateFinder.found(typed, prefix).filter(found -> chosen < found.offers().size())
                    .ifPresent(found -> PlateFinder.take(typed, found.offers().get(chosen), prefix));
        }
        switch (typed.get("do")) {
            case "moreAxes" -> typed.set("axisRows", String.valueOf(FitOutForm.rows(typed) + 2));
            case "usual" -> MachineForm.usual(typed);
            case "split" -> MachineForm.split(typed, axes(machine, typed));
            default -> {
            }
        }
        List<Lever> levers = MachineForm.leversSoFar(typed);
        if (what.equals("unread")) {
            MachineForm.restUnread(typed, prefix.isEmpty() ? levers : MachineForm.levers(typed, prefix), prefix);
        }
        if (typed.get("do").equals("paste") && !levers.isEmpty()) {
            PlatePaste.fill(typed, levers);
        }
        return form(model, machine, typed, submission, levers);
    }

    private String form(Model model, Optional<StoredMachine> machine, FormInput typed, Submission submission, List<Lever> levers) {
        model.addAttribute("machine", machine.orElse(null));
        model.addAttribute("title", machine.map(m -> model.containsAttribute("driveOnly") ? m.name() + ": drive" : "Change " + m.name())
                .orElse("Describe a machine"));
        model.addAttribute("typed", typed);
        model.addAttribute("submission", submission);
        model.addAttribute("grid", PlateGrid.kept(typed, levers, PlateGrid.SPEED));
        model.addAttribute("found", PlateFinder.found(typed, PlateGrid.SPEED).orElse(null));
        model.addAttribute("feedFound", PlateFinder.found(typed, PlateGrid.FEED).orElse(null));
        model.addAttribute("drive", drive(typed));
        model.addAttribute("feedCheck", plateCheck(typed, PlateGrid.FEED));
        model.addAttribute("threadCheck", plateCheck(typed, PlateGrid.THREAD));
        model.addAttribute("threadFound", PlateFinder.found(typed, PlateGrid.THREAD).orElse(null));
        for (String prefix : List.of(PlateGrid.FEED, PlateGrid.THREAD)) {
            List<Lever> its = MachineForm.levers(typed, prefix);
            if (!its.isEmpty() || !typed.has(prefix + "Levers")) {
                PlateGrid.reshape(typed, its, prefix);
            }
            model.addAttribute(prefix + "Grid", PlateGrid.kept(typed, its, prefix));
        }
        model.addAttribute("threadCounts", ThreadPlate.Counted.values());
        model.addAttribute("folded", model.containsAttribute("driveOnly") || typed.get("folded").equals("yes"));
        model.addAttribute("rules", houses.newest().rules());
        Optional<SoFar> soFar = soFar(typed, machine.map(StoredMachine::description));
        model.addAttribute("soFar", soFar.map(s -> s.says(houses.newest().rules())).orElse(null));
        Map<String, String> names = stepNames(soFar);
        model.addAttribute("tiedNames", names);
        model.addAttribute("tied", IntStream.range(0, MachineForm.claimRows(typed))
                .mapToObj(i -> MachineForm.tied(typed.get("claim" + i + ".testedBy")).stream().map(key -> names.getOrDefault(key, key))
                        .collect(Collectors.joining("; ")))
                .toList());
        model.addAttribute("rows", IntStream.range(0, FitOutForm.rows(typed)).boxed().toList());
        Set<String> open = openParts(typed, Boolean.TRUE.equals(model.getAttribute("folded")));
        model.addAttribute("openParts", open);
        model.addAttribute("moving", IntStream.range(0, FitOutForm.rows(typed)).mapToObj(i -> typed.get("axis" + i + ".name"))
                .filter(name -> !name.isBlank())
                .collect(Collectors.joining(", ")));
        model.addAttribute("roles", Axis.Role.values());
        model.addAttribute("abilities", Axis.Ability.values());
        model.addAttribute("features", typed.withoutErrors().choice("family", Family.class).map(f -> f.traits().features())
                .orElse(Set.of()));
        model.addAttribute("starts", StartingDescription.all());
        model.addAttribute("laws", MotorRating.Law.values());
        model.addAttribute("patterns", LeverPattern.values());
        model.addAttribute("moved", MovedBy.values());
        model.addAttribute("pers", Axis.Per.values());
        model.addAttribute("axes", axes(machine, typed));
        model.addAttribute("stageRows", IntStream.range(0, MachineForm.STAGE_ROWS).boxed().toList());
        model.addAttribute("claimRows", IntStream.range(0, MachineForm.claimRows(typed)).boxed().toList());
        model.addAllAttributes(Map.of("families", Family.values(), "units", LengthUnit.values(),
                "attributes", Claim.Attribute.values(), "sources", Claim.Source.values(), "shiftings", Shifting.values(),
                "kinds", IntStream.range(0, StageKind.values().length).mapToObj(i -> StageKind.values()[i])
                        .filter(kind -> kind != StageKind.DIRECTION).toList()));
        return FORM;
    }

    /** Parts that stand open: those a machine needs, and where something is to be mended or was just asked for. */
    private static Set<String> openParts(FormInput typed, boolean driveOnly) {
        Set<String> open = new HashSet<>(driveOnly ? Set.of("speed", "moves") : Set.of("is", "said", "speed"));
        String last = typed.get("do");
        if (last.equals("usual") || last.equals("moreAxes") || !PlateGrid.prefixOf(last).isEmpty()) {
            open.add("moves");
        }
        typed.errors().keySet().forEach(field -> {
            if (field.matches("ax(is|es).*|feed.*|thread.*")) {
                open.add("moves");
            } else if (field.matches(
                    "features?|volts|hertz|phases|supplyKilowatts|amperes|leadScrew|factors|promised|reach|buyable|otherSpeeds")) {
                open.add("has");
            } else if (field.matches("claim.*|said.*")) {
                open.add("said");
            } else {
                open.add("is");
            }
        });
        return open;
    }

    /** What a claimed travel can be of: the machine's axes, or those usual in the family chosen. */
    private static List<Axis> axes(Optional<StoredMachine> machine, FormInput typed) {
        Optional<Family> family = typed.withoutErrors().choice("family", Family.class);
        return machine.map(StoredMachine::description).filter(d -> family.filter(f -> f != d.identity().family()).isEmpty())
                .map(MachineDescription::fitOut)
                .or(() -> family.map(f -> f.traits().usual())).map(FitOut::axes).orElse(List.of());
    }

    private static OptionalInt claimedSpeeds(MachineDescription machine) {
        return machine.claims().stream().filter(c -> c.attribute() == Claim.Attribute.SPEED_COUNT)
                .mapToInt(c -> TypedNumber.parsePositive(c.value()).value().intValue()).findFirst();
    }
}
