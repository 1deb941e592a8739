package tallledger.core.survey;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import tallledger.core.family.Step;
import tallledger.core.house.House;
import tallledger.core.ledger.Entry;
import tallledger.core.ledger.FilmMoment;
import tallledger.core.ledger.NotedEntry;
import tallledger.core.machine.MachineDescription;
import tallledger.core.price.Stakes;
import tallledger.core.reason.Reason;

/**
 * The fold of a survey's events, one after the other. Each answers with why it counts as nothing, where it does not fit the machine as
 * described.
 */
final class SurveyFold implements Event.EventVisitor<Optional<Reason>> {

    private static final Optional<Reason> TAKEN = Optional.empty();

    private final MachineDescription machine;
    private final House house;
    private final Decoded decoded;
    private final DriveFold drive;
    private final StepFold steps;
    private final List<NotedEntry<String>> remarks = new ArrayList<>();
    private final List<RecordedRepair> repairs = new ArrayList<>();
    private final List<Photo> photos = new ArrayList<>();
    private final List<Clip> clips = new ArrayList<>();
    private final List<Recording> recordings = new ArrayList<>();
    private final Map<Integer, NotedEntry<Regrade>> regrades = new HashMap<>();
    private final Footage footage;
    private Optional<PlanChoice> plan = Optional.empty();
    private Optional<Stakes> stakes = Optional.empty();

    /** @param judged results of before by the same description; they are not judged again */
    SurveyFold(MachineDescription machine, House house, List<Step> catalogue, Decoded decoded, List<StepResult> judged) {
        this.machine = machine;
        this.house = house;
        this.decoded = decoded;
        this.footage = Footage.of(decoded);
        this.drive = new DriveFold(machine, house.rules(), footage);
        this.steps = new StepFold(machine, house.rules(), catalogue, judged);
    }

    Survey fold() {
        List<Stray> strays = new ArrayList<>(decoded.strays());
        decoded.counting().forEach(h -> Stray.guard(h.entry(), strays, () -> {
            steps.at(h.entry().at());
            seen(h.event(), h.entry()).or(() -> h.event().accept(this, h.entry()))
                    .ifPresent(because -> strays.add(new Stray(h.entry(), because)));
        }));
        return new Survey(machine, house, decoded, drive.folded(repairs, recordings), steps.folded(), List.copyOf(remarks),
                List.copyOf(repairs),
                List.copyOf(photos), List.copyOf(clips), List.copyOf(recordings), Map.copyOf(regrades), plan, stakes, List.copyOf(strays),
                footage);
    }

    /** Why what was seen in a film counts as nothing. */
    private Optional<Reason> seen(Event event, Entry entry) {
        if (!FilmMoment.isSaid(entry)) {
            return TAKEN;
        }
        return FilmMoment.of(entry).map(moment -> FilmBears.refusal(event, stepOf(event), moment, drive::keyOf, footage))
                .orElse(Optional.of(Reason.of(SurveyReason.FILM_BENT)));
    }

    private Optional<Step> stepOf(Event event) {
        return event instanceof WorkEvent.StepDone done ? steps.known(done.step()) : Optional.empty();
    }

    @Override
    public Optional<Reason> opened(BookEvent.Opened event, Entry entry) {
        steps.opened(event.scope());
        return TAKEN;
    }

    /** The whole fold judges by the newest. */
    @Override
    public Optional<Reason> judgedAs(BookEvent.JudgedAs event, Entry entry) {
        return TAKEN;
    }

    @Override
    public Optional<Reason> descriptionAdopted(BookEvent.DescriptionAdopted event, Entry entry) {
        return TAKEN;
    }

    @Override
    public Optional<Reason> rulesAdopted(BookEvent.RulesAdopted event, Entry entry) {
        return TAKEN;
    }

    @Override
    public Optional<Reason> startConfirmed(WorkEvent.StartConfirmed event, Entry entry) {
        steps.started(event);
        return TAKEN;
    }

    @Override
    public Optional<Reason> stopped(WorkEvent.Stopped event, Entry entry) {
        steps.left(entry.sequence());
        return TAKEN;
    }

    @Override
    public Optional<Reason> planChosen(WorkEvent.PlanChosen event, Entry entry) {
        plan = Optional.of(event.choice(entry.at()));
        return TAKEN;
    }

    @Override
    public Optional<Reason> run(WorkEvent.RunMade event, Entry entry) {
        steps.run(event.record().settings());
        return drive.run(event, entry);
    }

    @Override
    public Optional<Reason> passedOver(WorkEvent.PassedOver event, Entry entry) {
        NotedEntry<String> why = new NotedEntry<>(event.reason(), entry.sequence());
        event.step().ifPresentOrElse(step -> steps.passedOver(step, why), () -> drive.passedOver(event.settings(), why));
        return TAKEN;
    }

    @Override
    public Optional<Reason> remark(BookEvent.Remarked event, Entry entry) {
        remarks.add(new NotedEntry<>(event.text(), entry.sequence()));
        return TAKEN;
    }

    @Override
    public Optional<Reason> check(WorkEvent.Checked event, Entry entry) {
        CheckResult result = CheckResult.of(entry, event, house.rules());
        drive.checked(result);
        steps.checked(result);
        return TAKEN;
    }

    @Override
    public Optional<Reason> step(WorkEvent.StepDone event, Entry entry) {
        return steps.step(event, entry);
    }

    @Override
    public Optional<Reason> later(WorkEvent.PutLater event, Entry entry) {
        steps.putOff(event.key());
        return TAKEN;
    }

    @Override
    public Optional<Reason> temperatures(WorkEvent.TemperaturesTaken event, Entry entry) {
        steps.warm(event.temperatures());
        return TAKEN;
    }

    @Override
    public Optional<Reason> cut(WorkEvent.CutDone event, Entry entry) {
        steps.cut(new NotedEntry<>(event.cut(), entry.sequence()));
        return TAKEN;
    }

    @Override
    public Optional<Reason> priced(AppraisalEvent.Priced event, Entry entry) {
        stakes = Optional.of(event.stakes());
        return TAKEN;
    }

    @Override
    public Optional<Reason> kit(AppraisalEvent.KitSeen event, Entry entry) {
        steps.kit(event.item(), entry.sequence());
        return TAKEN;
    }

    @Override
    public Optional<Reason> lift(AppraisalEvent.LiftWeighed event, Entry entry) {
        steps.weighed(new NotedEntry<>(event.lift(), entry.sequence()));
        return TAKEN;
    }

    @Override
    public Optional<Reason> photo(BookEvent.PhotoTaken event, Entry entry) {
        photos.add(event.photo());
        return TAKEN;
    }

    @Override
    public Optional<Reason> clip(BookEvent.ClipTaken event, Entry entry) {
        clips.add(event.clip());
        return TAKEN;
    }

    @Override
    public Optional<Reason> sound(BookEvent.SoundTaken event, Entry entry) {
        recordings.add(event.recording());
        return TAKEN;
    }

    /** Over a photograph that was struck, or never taken, nothing is drawn. */
    @Override
    public Optional<Reason> photoMarked(BookEvent.PhotoMarked event, Entry entry) {
        for (int i = 0; i < photos.size(); i++) {
            if (photos.get(i).entry() == event.photo()) {
                photos.set(i, photos.get(i).marked(event.marks(), entry.sequence()));
                return TAKEN;
            }
        }
        return Optional.of(Reason.of(SurveyReason.STRAY_PHOTO, event.photo()));
    }

    @Override
    public Optional<Reason> camera(BookEvent.Camera event, Entry entry) {
        return TAKEN;
    }

    @Override
    public Optional<Reason> filmOpened(FilmEvent.FilmOpened event, Entry entry) {
        return TAKEN;
    }

    @Override
    public Optional<Reason> filmCut(FilmEvent.FilmCut event, Entry entry) {
        return TAKEN;
    }

    @Override
    public Optional<Reason> narration(FilmEvent.NarrationKept event, Entry entry) {
        return TAKEN;
    }

    @Override
    public Optional<Reason> heard(FilmEvent.Heard event, Entry entry) {
        return TAKEN;
    }

    @Override
    public Optional<Reason> letterSent(FilmEvent.LetterSent event, Entry entry) {
        return TAKEN;
    }

    @Override
    public Optional<Reason> closed(BookEvent.Closed event, Entry entry) {
        return TAKEN;
    }

    @Override
    public Optional<Reason> repaired(WorkEvent.Repaired event, Entry entry) {
        RecordedRepair repair = new RecordedRepair(entry.sequence(), entry.by().author().written(), event.part(), event.what());
        repairs.add(repair);
        drive.repaired(repair.part());
        event.part().system().ifPresent(steps::repaired);
        return TAKEN;
    }

    @Override
    public Optional<Reason> regraded(AppraisalEvent.Regraded event, Entry entry) {
        regrades.put(event.regrade().target(), new NotedEntry<>(event.regrade(), entry.sequence()));
        steps.regraded(event.regrade());
        return TAKEN;
    }

    @Override
    public Optional<Reason> strike(BookEvent.Struck event, Entry entry) {
        return TAKEN;
    }
}
