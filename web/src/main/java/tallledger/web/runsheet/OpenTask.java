package tallledger.web.runsheet;

import java.util.List;
import java.util.Optional;
import tallledger.core.coverage.ShiftFeel;
import tallledger.core.coverage.Symptom;
import tallledger.core.drive.DriveTrain;
import tallledger.core.drive.StageKind;
import tallledger.core.evidence.DriveCheck;
import tallledger.core.gauge.GradedLimit;
import tallledger.core.ledger.NotedEntry;
import tallledger.core.plan.SecondRuns;
import tallledger.core.reason.Reason;
import tallledger.core.survey.FilmBears;
import tallledger.core.survey.Temperatures;
import tallledger.web.forms.FormInput;
import tallledger.web.machine.EquipmentQuestion;
import tallledger.web.machine.StartReading;

/** What the run sheet has open. Each kind has a template of its name: what is filled in, what comes after a start, what stands beside. */
public sealed interface OpenTask {

    /** Of its fragments, under {@code runsheet/}. */
    String template();

    /** What would be open if it were not refused. */
    default OpenTask itself() {
        return this;
    }

    /** The record that counts so far, drawn. */
    default Optional<Picture> drawn() {
        return Optional.empty();
    }

    /**
     * A speed to run.
     *
     * @param symptoms keys of what may be heard, seen or felt
     * @param methods  ways of reading it
     * @param method   the one taken last
     * @param counted  whether the last run was counted, turn by turn
     * @param feels    keys of how a lever shifts; none where nothing is shifted
     * @param levers   ways in which its levers may stand, where nobody has looked at them yet
     */
    record SpeedTask(SheetView sheet, List<Symptom> symptoms, List<GaugeChoice> methods, String method, boolean counted,
            List<ShiftFeel> feels, List<StartReading.LeverChoice> levers)
            implements
                OpenTask {

        /** Jumping out and not engaging are keys of the shift already. */
        private static final List<Symptom> SYMPTOM_KEYS = List.of(Symptom.values()).stream()
                .filter(s -> List.of(ShiftFeel.values()).stream().noneMatch(f -> f.symptom().filter(s::equals).isPresent())).toList();

        static SpeedTask of(SheetView sheet, DriveTrain train, List<GaugeChoice> methods, String method, boolean counted,
                List<StartReading.LeverChoice> levers) {
            return new SpeedTask(sheet, SYMPTOM_KEYS.stream().filter(s -> isPossible(s, train)).toList(), methods, method, counted,
                    shifts(train) ? List.of(ShiftFeel.values()) : List.of(), levers);
        }

        /** As it is recorded from a film: without what is felt. */
        SpeedTask asFilmed() {
            return new SpeedTask(sheet, symptoms.stream().filter(FilmBears::isSeen).toList(), methods, method, counted,
                    feels.stream().filter(FilmBears::isSeen).toList(), List.of());
        }

        /** The way of reading it that stands chosen, in words. */
        public String readBy() {
            return methods.stream().filter(m -> m.id().equals(method)).findFirst().map(GaugeChoice::name).orElse(method);
        }

        /** Only what is shifted is felt to: a belt is laid over by hand, and a wheel of one speed has no lever. */
        private static boolean shifts(DriveTrain train) {
            return train.stages().stream().anyMatch(s -> s.isChoice()
                    && (s.kind() == StageKind.GEAR || s.kind() == StageKind.BACK_GEAR || s.kind() == StageKind.COMMANDED));
        }

        /** A dead spot needs something that slides, hunting a commanded range. */
        private static boolean isPossible(Symptom symptom, DriveTrain train) {
            return switch (symptom) {
                case DEAD_SPOT -> train.stages().stream().anyMatch(s -> s.kind().slides());
                case HUNTS -> train.stages().stream().anyMatch(s -> s.kind() == StageKind.COMMANDED);
                default -> true;
            };
        }

        @Override
        public String template() {
            return "speed";
        }
    }

    /** @param brake how soon a spindle should stand still */
    record CheckTask(DriveCheck check, GradedLimit brake) implements OpenTask {

        @Override
        public String template() {
            return "check";
        }
    }

    /**
     * A step of the catalogue.
     *
     * @param cut    the test cut it is measured on
     * @param warm   temperatures as read last
     * @param gauges it may be read with; none where nothing is read
     * @param asked  what the machine has, where nobody has said so yet
     */
    record CatalogueTask(TaskView task, Optional<NotedEntry<Reason>> cut, Optional<Temperatures> warm, List<GaugeChoice> gauges,
            Optional<EquipmentQuestion.Asked> asked)
            implements
                OpenTask {

        /** Whether something is typed, or refused, in a field of another way: then it is not folded away. */
        public boolean isAnotherWay(FormInput typed) {
            return task.form().more().stream().anyMatch(f -> typed.isWrong(f.name())
                    || f.choices().isEmpty() && typed.has(f.name()));
        }

        /** The gauge chosen, in words; the first where none is. */
        public String readWith(String chosen) {
            return gauges.stream().filter(g -> g.id().equals(chosen)).findFirst().or(() -> gauges.stream().findFirst())
                    .map(GaugeChoice::name).orElse("");
        }

        @Override
        public String template() {
            return "step";
        }

        @Override
        public Optional<Picture> drawn() {
            return task.past().picture();
        }
    }

    /** @param named whether what stops use was named at the start: then something else is in the way */
    record RefusedTask(OpenTask itself, Reason because, boolean named) implements OpenTask {

        @Override
        public String template() {
            return "refused";
        }

        @Override
        public Optional<Picture> drawn() {
            return itself.drawn();
        }
    }

    /**
     * Nothing is open.
     *
     * @param again    runs worth making once more in the minutes that are left
     * @param silentIn a fault that comes and goes shows in one of so many runs
     */
    record FinishedTask(Optional<SecondRuns> again, long silentIn) implements OpenTask {

        @Override
        public String template() {
            return "finished";
        }
    }
}
