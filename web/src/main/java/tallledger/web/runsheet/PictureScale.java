package tallledger.web.runsheet;

import tallledger.core.film.PictureLength;
import tallledger.core.survey.Basis;
import tallledger.web.forms.FormInput;
import tallledger.web.words.Words;

/**
 * A length told in the picture of a film. What is typed at the step then is read with no gauge but the picture: by the two lengths marked
 * in it, whose uncertainty is that of the reading.
 */
final class PictureScale {

    private PictureScale() {
    }

    /** @param by as it would be judged by without a picture */
    static Basis by(FormInput typed, Basis by, Words words) {
        if (!typed.has("picturePoints")) {
            return by;
        }
        PictureLength length = PictureLength.parse(typed.get("picturePoints"), typed.get("pictureKnown"), typed.get("pictureApart"),
                typed.get("pictureDistance"), by.unit());
        return by.with(java.util.Optional.of(length.gauge(words.say("film.gauge", typed.get("pictureKnown")))));
    }
}
