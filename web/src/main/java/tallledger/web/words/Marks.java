package tallledger.web.words;

import org.springframework.stereotype.Component;
import tallledger.core.coverage.Mark;
import tallledger.core.coverage.Outcome;

/** Which stroke stands for which mark; the drawing of each is the template fragment {@code marks}. */
@Component("marks")
public class Marks {

    public String of(Mark mark) {
        return switch (mark) {
            case PROVEN -> "proven";
            case INFERRED -> "inferred";
            case OPEN -> "open";
            case FAILED -> "failed";
            case UNDECIDED -> "close";
        };
    }

    public String of(Outcome outcome) {
        return switch (outcome) {
            case PROVEN -> "proven";
            case FAILED -> "failed";
            case UNDECIDED -> "close";
        };
    }
}
