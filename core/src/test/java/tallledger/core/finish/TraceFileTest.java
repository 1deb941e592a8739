package tallledger.core.finish;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.List;
import java.util.stream.IntStream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tallledger.core.reason.Refused;

class TraceFileTest {

    private static final Trace TRACE = new Trace(0.0025,
            IntStream.range(0, 400).mapToObj(i -> Math.round(2000 * Math.sin(i / 7.0)) / 1000.0).toList());

    private static List<Double> heights(TraceFile.TypedTrace typed) {
        return Arrays.stream(typed.heights().strip().split("\\s+")).map(Double::valueOf).toList();
    }

    @Test
    void whatIsWrittenIsReadAgain() {
        TraceFile.TypedTrace profile = TraceFile.read(TraceFile.profile(TRACE, "2026-05-09T10:00:00Z", "A & B <c>"));
        assertThat(Double.parseDouble(profile.spacing())).isEqualTo(0.0025, within(1e-12));
        assertThat(heights(profile)).isEqualTo(TRACE.heights());
        TraceFile.TypedTrace csv = TraceFile.read(TraceFile.csv(TRACE));
        assertThat(csv.spacing()).isEqualTo("0.0025");
        assertThat(heights(csv)).isEqualTo(TRACE.heights());
    }

    private static byte[] zip(String main, byte[] points) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(out)) {
            zip.putNextEntry(new ZipEntry("main.xml"));
            zip.write(main.getBytes(StandardCharsets.UTF_8));
            zip.putNextEntry(new ZipEntry("bindata/data.bin"));
            zip.write(points);
        }
        return out.toByteArray();
    }

    private static String main(String type, String increment, String rest) {
        return "<q:ISO5436_2 "
                + "xmlns:q='x'><Record1><Axes><CX><AxisType>I</AxisType><Increment>1e-6</Increment></CX>"
                + "<CZ><AxisType>A</AxisType><DataType>" + type + "</DataType><Increment>" + increment
                + "</Increment><Offset>1e-6</Offset></CZ></Axes></Record1><Record3>" + rest + "</Record3></q:ISO5436_2>";
    }

    /** Integers of 10 nm, and an offset of 1 µm: −300 is −2 µm. */
    @Test
    void pointsMayBeIntegersOrStandInTheText() throws IOException {
        byte[] points = {(byte) 0xd4, (byte) 0xfe, 100, 0, 0, 0};
        assertThat(heights(TraceFile.read(zip(main("I", "1e-8", "<DataLink><PointDataLink>bindata/data.bin</PointDataLink></DataLink>"),
                points)))).containsExactly(-2.0, 2.0, 1.0);
        assertThat(heights(TraceFile.read(zip(main("D", "1", "<DataList><Datum>2e-6</Datum><Datum>0;0;-1e-6</Datum></DataList>"), points))))
                .containsExactly(3.0, 0.0);
    }

    @Test
    void whatIsWrongWithAFileIsSaid() throws IOException {
        String link = "<DataLink><PointDataLink>bindata/data.bin</PointDataLink><MD5ChecksumPointData>00</MD5ChecksumPointData></DataLink>";
        refuses("trace-file.changed", zip(main("D", "1", link), new byte[80]));
        refuses("trace-file.no-points", zip(main("D", "1", "<DataLink><PointDataLink>else.bin</PointDataLink></DataLink>"), new byte[8]));
        refuses("trace-file.area", zip(main("D", "1", "<MatrixDimension><SizeX>9</SizeX><SizeY>9</SizeY></MatrixDimension>" + link),
                new byte[8]));
        refuses("trace-file.dropout", zip(main("D", "1", "<DataList><Datum>1e-6</Datum><Datum></Datum></DataList>"), new byte[8]));
        for (String figure : List.of("1e308", "-1e308", "NaN", "Infinity", "1e10")) {
            refuses("trace-file.dropout", zip(main("D", "1", "<DataList><Datum>1e-6</Datum><Datum>" + figure + "</Datum></DataList>"),
                    new byte[8]));
            refuses("trace-file.dropout", zip(main("D", figure, "<DataList><Datum>1</Datum><Datum>1</Datum></DataList>"), new byte[8]));
            refuses("trace-file.line", ("0;1\n0.1;" + figure + "\n").getBytes(StandardCharsets.UTF_8));
        }
        refuses("trace-file.broken", zip("<a><b></a>", new byte[0]));
        refuses("trace-file.broken", zip("<!DOCTYPE a [<!ENTITY e SYSTEM 'file:///etc/hostname'>]><a>&e;</a>", new byte[0]));
        refuses("trace-file.no-main", Arrays.copyOf(new byte[] {'P', 'K', 3, 4}, 200));
        refuses("trace-file.size", new byte[0]);
        refuses("trace-file.line", "0.1;2\n0.2;two\n".getBytes(StandardCharsets.UTF_8));
        refuses("trace-file.line", "0.1;2\n0.2\n".getBytes(StandardCharsets.UTF_8));
        refuses("trace-file.no-points", "x;z\n".getBytes(StandardCharsets.UTF_8));
    }

    /** Small in the archive, large out of it. */
    @Test
    void anArchiveThatUnpacksWithoutEndIsLeft() throws IOException {
        refuses("trace-file.size", zip("<a/>", new byte[40 * 1024 * 1024]));
    }

    /** A million blanks pack into a kilobyte: read or refused at once, wherever they stand. */
    @Test
    void blanksWithoutEndOccupyNobody() throws IOException {
        String blanks = " ".repeat(1_000_000);
        List<byte[]> files = List.of(zip(main("D", "1", "<DataList><Datum>1e-6</Datum><Datum>1" + blanks + ";" + blanks
                + "1e-6</Datum></DataList>"),
                new byte[8]), ("1" + blanks + "1\n2 3\n").getBytes(StandardCharsets.UTF_8),
                ("1" + blanks + ";" + blanks
                        + "1\n2 3\n")
                        .getBytes(StandardCharsets.UTF_8),
                ("\n".repeat(3_000_000)).getBytes(StandardCharsets.UTF_8));
        for (byte[] file : files) {
            long begun = System.nanoTime();
            try {
                TraceFile.read(file);
            } catch (Refused refused) {
                assertThat(refused.reason()).isNotNull();
            }
            assertThat(System.nanoTime() - begun).as("ns").isLessThan(1_500_000_000L);
        }
    }

    private static void refuses(String code, byte[] file) {
        assertThatThrownBy(() -> TraceFile.read(file))
                .isInstanceOfSatisfying(Refused.class, r -> assertThat(r.reason().code()).isEqualTo(code));
    }

    /** Uneven steps go to the form as they are: it says which row is off. */
    @ParameterizedTest
    @CsvSource({"'0 1;0.1 2;0.3 3', '0 1,0.1 2,0.3 3'", "'1.5;2e-1', '1.5 0.2'"})
    void unevenStepsStayVisible(String rows, String typed) {
        assertThat(TraceFile.read(rows.replace(";", "\n").getBytes(StandardCharsets.UTF_8)).heights().strip().replace("\n", ","))
                .isEqualTo(typed);
    }

    @Test
    void anOrdinaryArchiveListsItsParts() throws IOException {
        try (ZipInputStream zip = new ZipInputStream(new ByteArrayInputStream(TraceFile.profile(TRACE, "2026-05-09T10:00:00Z", "Q")))) {
            assertThat(zip.getNextEntry().getName()).isEqualTo("main.xml");
        }
    }
}
