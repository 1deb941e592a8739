package tallledger.core.plan;

import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import tallledger.core.machine.Claim;
import tallledger.core.machine.Claim.Attribute;
import tallledger.core.survey.Survey;

/** What is asked on the telephone, in this order; an answer is a claim of that attribute by whoever said it. */
public enum TelephoneQuestion {
    WRONG(Attribute.ADMISSION), LAST_RAN(Attribute.FROM_STORAGE), ALL_SPEEDS(Attribute.SPEEDS_WORK), REVERSES(Attribute.REVERSES),
    DONE(Attribute.SERVICED), REBUILT(Attribute.REBUILT_BY), WAYS(Attribute.WAYS), SCREWS(Attribute.SCREWS), YEAR(Attribute.YEAR),
    HOURS(Attribute.HOURS), SUPPLY(Attribute.SUPPLY), POWER(Attribute.MOTOR_POWER), WEIGHT(Attribute.WEIGHT), GOES_WITH(Attribute.OTHER);

    private final Attribute attribute;

    TelephoneQuestion(Attribute attribute) {
        this.attribute = attribute;
    }

    /** What an answer claims. */
    public Attribute attribute() {
        return attribute;
    }

    /** Those nobody has said anything of; what goes with it is asked until a list of kit stands there. */
    public static List<TelephoneQuestion> open(Survey survey) {
        Set<Attribute> said = new HashSet<>();
        Stream.concat(survey.machine().claims().stream(), survey.footage().claims().stream().map(h -> h.heard().claim().orElseThrow()))
                .map(Claim::attribute).forEach(said::add);
        boolean kit = !survey.steps().kit().items().isEmpty() || said.contains(Attribute.KIT_COUNT) || said.contains(Attribute.COLLETS);
        return Stream.of(values()).filter(q -> q == GOES_WITH ? !kit : !said.contains(q.attribute)).toList();
    }
}
