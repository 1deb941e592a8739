package tallledger.web;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.stream.Stream;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.web.server.context.WebServerApplicationContext;
import org.springframework.context.ConfigurableApplicationContext;

/** The application started for tests on a free port, with a store of its own. */
public final class App implements AutoCloseable {

    private static App demo;

    private final ConfigurableApplicationContext context;

    private App(boolean withDemo, Path data, String... more) {
        String[] arguments = Stream.concat(Stream.of("--server.port=0", "--tallledger.data=" + data, "--tallledger.demo=" + withDemo,
                "--tallledger.warm=false"), Stream.of(more)).toArray(String[]::new);
        context = SpringApplication.run(TallLedger.class, arguments);
    }

    private static Path folder() {
        try {
            return Files.createTempDirectory("tall-ledger-test");
        } catch (IOException e) {
            throw new java.io.UncheckedIOException(e);
        }
    }

    public static App empty() {
        return new App(false, folder());
    }

    /** On data that are there already, with settings of its own. */
    public static App on(Path data, String... settings) {
        return new App(false, data, settings);
    }

    /** One application with the demo data, shared by the tests that only add to it. */
    public static synchronized App demo() {
        if (demo == null) {
            demo = new App(true, folder());
        }
        return demo;
    }

    public String url(String path) {
        return "http://localhost:" + ((WebServerApplicationContext) context).getWebServer().getPort() + path;
    }

    public StoreScenes scenes() {
        return new StoreScenes(this);
    }

    /** How a page answers. */
    public int status(String path) {
        return new Http(this).get(path).statusCode();
    }

    public <T> T bean(Class<T> type) {
        return context.getBean(type);
    }

    @Override
    public void close() {
        context.close();
    }
}
