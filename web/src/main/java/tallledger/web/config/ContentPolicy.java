package tallledger.web.config;

/** What a page may load and from where: from here alone. */
public final class ContentPolicy {

    private static final String BEFORE_MEDIA = String.join("; ", "default-src 'none'", "script-src 'self'", "style-src 'self'",
            "img-src 'self'");
    private static final String AFTER_MEDIA = String.join("; ", "font-src 'self'", "connect-src 'self'", "worker-src 'self'",
            "frame-src 'self'", "manifest-src 'self'", "form-action 'self'", "base-uri 'none'", "frame-ancestors 'self'");

    /** Of every page. */
    public static final String ORDINARY = BEFORE_MEDIA + "; media-src 'self'; " + AFTER_MEDIA;
    /** Of the film desk, which plays a film the user opened from their own disk, and nothing else from outside. */
    public static final String WITH_FILM = BEFORE_MEDIA + "; media-src blob:; " + AFTER_MEDIA;

    private ContentPolicy() {
    }
}
