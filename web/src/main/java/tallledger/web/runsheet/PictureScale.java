package tallledger.web.runsheet;

import java.util.Optional;
import tallledger.core.film.PictureLength;
import tallledger.core.gauge.Gauge;
import tallledger.core.unit.LengthUnit;
import tallledger.web.forms.FormInput;
import tallledger.web.words.Words;

/**
 * A length told in the picture of a film. What is typed at the step then is read with no gauge but the picture: by the two lengths marked
 * in it, whose uncertainty is that of the reading.
 */
final class PictureScale {

    private PictureScale() {
    }

    /** Empty where nothing was marked in a picture. @throws tallledger.core.reason.Refused where the lengths make no sense */
    static Optional<Gauge> gauge(FormInput typed, LengthUnit unit, Words words) {
        if (!typed.has("picturePoints")) {
            return Optional.empty();
        }
        PictureLength length = PictureLength.parse(typed.get("picturePoints"), typed.get("pictureKnown"), typed.get("pictureApart"),
                typed.get("pictureDistance"), unit);
        return Optional.of(length.gauge(words.say("film.gauge", typed.get("pictureKnown"))));
    }
}
