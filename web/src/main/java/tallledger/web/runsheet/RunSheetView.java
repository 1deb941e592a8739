package tallledger.web.runsheet;

import java.math.BigDecimal;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import tallledger.core.coverage.Coverage;
import tallledger.core.coverage.School;
import tallledger.core.family.StartItem;
import tallledger.core.reason.Reason;
import tallledger.core.safety.Mounted;
import tallledger.core.survey.Clip;
import tallledger.core.survey.Photo;
import tallledger.core.survey.Run;
import tallledger.core.survey.StepResult;

/**
 * The run sheet, as one page.
 *
 * @param key     of what is open; empty where nothing is
 * @param why     it comes next; empty where somebody chose it
 * @param takes   fields that an instrument can fill
 * @param start   what must be safe before anything turns; there where it is due
 * @param stopUse what stops use
 * @param done    what was recorded just now
 */
public record RunSheetView(String key, Optional<Reason> why, OpenTask open, Set<String> takes, Optional<Start> start, StopUse stopUse,
        Done done, Spine spine, SheetMargin margin) {

    /** What stops use, to be named at the start: the entry that found it, and its name with why. */
    public record Danger(int entry, Object name) {
    }

    /**
     * What stops use.
     *
     * @param says  what that means now; empty where nothing stops use
     * @param named whether each was named at the start
     */
    public record StopUse(Optional<Reason> says, List<Danger> dangers, boolean named) {
    }

    /** What can be on the spindle, and the fields its marks are typed into. */
    public record Mountable(Mounted.Kind kind, List<String> fields) {
    }

    /**
     * Asked once per start.
     *
     * @param pauseMinutes  after so long it is asked again
     * @param unmarkedShare of the highest speed, where nothing is marked
     */
    public record Start(List<StartItem> items, List<Mountable> mountables, long pauseMinutes, BigDecimal unmarkedShare) {
    }

    /** What was recorded just now: a run or a step, with its picture. */
    public record Done(Optional<Run> run, Optional<StepResult> step, Optional<Picture> picture) {
    }

    /** Where one is in the work. */
    public record Spine(List<PhaseView> phases, Coverage.Counts counts) {
    }

    /**
     * What stands beside.
     *
     * @param schools ways of planning
     * @param filming whether a camera runs
     * @param mounted what is on the spindle
     * @param photos  of what is open
     * @param clips   short films of it
     * @param longest side of a photograph as it is kept, px
     * @param sound   what can be recorded
     */
    public record SheetMargin(PlanView plan, List<School> schools, boolean filming, Optional<Mounted> mounted, List<Photo> photos,
            List<Clip> clips, int longest, SoundChoices sound) {
    }
}
