package tallledger.core.finish;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.StringReader;
import java.math.BigDecimal;
import java.math.MathContext;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HexFormat;
import java.util.Iterator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;
import javax.xml.XMLConstants;
import javax.xml.parsers.DocumentBuilderFactory;
import javax.xml.parsers.ParserConfigurationException;
import org.w3c.dom.Document;
import org.w3c.dom.Element;
import org.w3c.dom.NodeList;
import org.xml.sax.InputSource;
import org.xml.sax.SAXException;
import tallledger.core.reading.TypedNumber;
import tallledger.core.reason.Refused;

/**
 * Traces in files: lines of numbers with a comma, semicolon or tab between (x in mm and z in µm, or z alone), and profiles of ISO
 * 25178-72, a zip with {@code main.xml} and the points in it or beside it. A file read here comes out as what a person would have typed,
 * so that what is recorded is seen first.
 */
public final class TraceFile {

    /** More bytes than this are no profile. */
    public static final int LARGEST = 4 * 1024 * 1024;
    private static final int LARGEST_UNPACKED = 16 * 1024 * 1024;
    private static final String MAIN = "main.xml";
    private static final String POINTS = "bindata/data.bin";
    /** Signs in a row of two figures, and rows: more is no trace. */
    private static final int LONGEST_ROW = 200;
    private static final int MOST_ROWS = 500_000;
    /** A height in µm, or a step in mm, beyond this is none; not a number is none either. */
    private static final double FARTHEST = 1e9;
    /** Heights in a line of the form. */
    private static final int A_LINE = 20;
    private static final double METRE = 1e3;
    private static final double MICROMETRES = 1e6;
    private static final MathContext SIX = new MathContext(6);

    private TraceFile() {
    }

    /**
     * What a person would have typed.
     *
     * @param spacing mm as text
     * @param heights µm, a line each
     */
    public record TypedTrace(String spacing, String heights) {
    }

    /** @throws Refused with what is wrong with it */
    public static TypedTrace read(byte[] file) {
        if (file.length == 0 || file.length > LARGEST) {
            throw Refused.because(FinishReason.FILE_SIZE, file.length, LARGEST / 1024 / 1024);
        }
        return file.length > 3 && file[0] == 'P' && file[1] == 'K' ? profile(unzip(file)) : lines(new String(file, StandardCharsets.UTF_8));
    }

    /** Two columns are x and z, one is z; a head line without a figure is passed over. */
    private static TypedTrace lines(String text) {
        List<double[]> rows = new ArrayList<>();
        int line = 0;
        for (Iterator<String> all = text.lines().iterator(); all.hasNext();) {
            String row = all.next().strip();
            line++;
            if (row.isEmpty() || rows.isEmpty() && row.chars().noneMatch(Character::isDigit)) {
                continue;
            }
            String[] cells = row.length() > LONGEST_ROW ? new String[0] : row.split("\\s*[;\\t,]\\s*|\\s+");
            if (cells.length == 0 || cells.length > 2 || rows.size() > MOST_ROWS
                    || !rows.isEmpty() && rows.get(0).length != cells.length) {
                throw Refused.because(FinishReason.FILE_LINE, line);
            }
            rows.add(cells(cells, line));
        }
        if (rows.size() < 2) {
            throw Refused.because(FinishReason.FILE_NO_POINTS);
        }
        double spacing = rows.get(0).length == 2 ? (rows.get(rows.size() - 1)[0] - rows.get(0)[0]) / (rows.size() - 1) : 0;
        return typed(spacing, rows.stream().map(r -> r[r.length - 1]).toList(), rows);
    }

    private static double[] cells(String[] cells, int line) {
        double[] figures = new double[cells.length];
        for (int i = 0; i < cells.length; i++) {
            try {
                figures[i] = cells[i].matches("[+-]?[\\d.]+[eE][+-]?\\d{1,2}") ? Double.parseDouble(cells[i])
                        : TypedNumber.parse(cells[i])
                                .value().doubleValue();
            } catch (Refused | NumberFormatException none) {
                throw Refused.because(FinishReason.FILE_LINE, line);
            }
            if (!(Math.abs(figures[i]) <= FARTHEST)) {
                throw Refused.because(FinishReason.FILE_LINE, line);
            }
        }
        return figures;
    }

    /** Steps that are not even stay visible: x and z a line, so that the form says which row is off. */
    private static TypedTrace typed(double spacing, List<Double> heights, List<double[]> rows) {
        boolean even = rows.stream().allMatch(r -> r.length == 1);
        for (int i = 1; i < rows.size() && rows.get(0).length == 2; i++) {
            even = Math.abs(rows.get(i)[0] - rows.get(i - 1)[0] - spacing) <= 0.05 * Math.abs(spacing);
            if (!even) {
                break;
            }
        }
        StringBuilder text = new StringBuilder();
        for (int i = 0; i < heights.size(); i++) {
            text.append(even ? "" : plain(rows.get(i)[0]) + " ").append(plain(heights.get(i)))
                    .append(even && i % A_LINE < A_LINE - 1 ? ' ' : '\n');
        }
        return new TypedTrace(even && spacing > 0 ? plain(spacing) : "", text.toString());
    }

    private static String plain(double figure) {
        return new BigDecimal(figure).round(SIX).stripTrailingZeros().toPlainString();
    }

    private static Map<String, byte[]> unzip(byte[] file) {
        Map<String, byte[]> parts = new HashMap<>();
        int left = LARGEST_UNPACKED;
        try (ZipInputStream zip = new ZipInputStream(new ByteArrayInputStream(file))) {
            for (ZipEntry entry = zip.getNextEntry(); entry != null; entry = zip.getNextEntry()) {
                byte[] bytes = readUpTo(zip, left);
                left -= bytes.length;
                parts.put(entry.getName().replace('\\', '/'), bytes);
            }
        } catch (Refused large) {
            throw large;
        } catch (IOException | IllegalArgumentException broken) {
            throw Refused.because(FinishReason.FILE_BROKEN);
        }
        return parts;
    }

    private static byte[] readUpTo(InputStream in, int most) throws IOException {
        byte[] bytes = in.readNBytes(most + 1);
        if (bytes.length > most) {
            throw Refused.because(FinishReason.FILE_SIZE, bytes.length, LARGEST_UNPACKED / 1024 / 1024);
        }
        return bytes;
    }

    private static TypedTrace profile(Map<String, byte[]> parts) {
        if (!parts.containsKey(MAIN)) {
            throw Refused.because(FinishReason.FILE_NO_MAIN);
        }
        Element root = xml(parts.get(MAIN)).getDocumentElement();
        Element x = first(root, "CX");
        Element z = first(root, "CZ");
        if (z == null) {
            throw Refused.because(FinishReason.FILE_NO_POINTS);
        }
        double dx = number(x, "Increment", 0) * METRE;
        if (!(Math.abs(dx) <= FARTHEST)) {
            throw Refused.because(FinishReason.FILE_BROKEN);
        }
        double scale = number(z, "Increment", 1) * MICROMETRES;
        double offset = number(z, "Offset", 0) * MICROMETRES;
        if (number(root, "SizeY", 1) > 1 || number(root, "SizeZ", 1) > 1) {
            throw Refused.because(FinishReason.FILE_AREA);
        }
        List<Double> heights = first(root, "PointDataLink") == null ? listed(root)
                : linked(parts, text(root, "PointDataLink"),
                        text(z, "DataType"), text(root, "MD5ChecksumPointData"));
        List<Double> um = new ArrayList<>();
        for (int i = 0; i < heights.size(); i++) {
            double height = heights.get(i) * scale + offset;
            if (!(Math.abs(height) <= FARTHEST)) {
                throw Refused.because(FinishReason.FILE_DROPOUT, i + 1);
            }
            um.add(height);
        }
        if (um.size() < 2) {
            throw Refused.because(FinishReason.FILE_NO_POINTS);
        }
        return typed(dx, um, um.stream().map(h -> new double[] {h}).toList());
    }

    /** Nothing outside the file is fetched or read. */
    private static Document xml(byte[] bytes) {
        try {
            DocumentBuilderFactory factory = DocumentBuilderFactory.newInstance();
            factory.setFeature(XMLConstants.FEATURE_SECURE_PROCESSING, true);
            factory.setFeature("http://apache.org/xml/features/disallow-doctype-decl", true);
            factory.setXIncludeAware(false);
            factory.setExpandEntityReferences(false);
            factory.setNamespaceAware(true);
            var builder = factory.newDocumentBuilder();
            builder.setErrorHandler(null);
            return builder.parse(new InputSource(new StringReader(new String(bytes, StandardCharsets.UTF_8).replaceFirst("^\uFEFF", ""))));
        } catch (ParserConfigurationException | SAXException | IOException broken) {
            throw Refused.because(FinishReason.FILE_BROKEN);
        }
    }

    private static Element first(Element in, String name) {
        NodeList found = in == null ? null : in.getElementsByTagNameNS("*", name);
        return found == null || found.getLength() == 0 ? null : (Element) found.item(0);
    }

    private static String text(Element in, String name) {
        Element found = first(in, name);
        return found == null ? "" : found.getTextContent().strip();
    }

    private static double number(Element in, String name, double otherwise) {
        String text = text(in, name);
        try {
            return text.isEmpty() ? otherwise : Double.parseDouble(text);
        } catch (NumberFormatException none) {
            throw Refused.because(FinishReason.FILE_BROKEN);
        }
    }

    /** Datum by datum: the height stands last; one that is empty is a point that was not reached. */
    private static List<Double> listed(Element root) {
        NodeList all = root.getElementsByTagNameNS("*", "Datum");
        List<Double> heights = new ArrayList<>();
        for (int i = 0; i < all.getLength(); i++) {
            String datum = all.item(i).getTextContent();
            String height = datum.substring(datum.lastIndexOf(';') + 1).strip();
            try {
                heights.add(height.isEmpty() ? Double.NaN
                        : Double.parseDouble(height.substring(0, Math.min(height.length(), LONGEST_ROW))));
            } catch (NumberFormatException none) {
                throw Refused.because(FinishReason.FILE_DROPOUT, i + 1);
            }
        }
        return heights;
    }

    private static List<Double> linked(Map<String, byte[]> parts, String name, String type, String sum) {
        byte[] bytes = parts.get(name);
        if (bytes == null) {
            throw Refused.because(FinishReason.FILE_NO_POINTS);
        }
        if (!sum.isEmpty() && !sum.equalsIgnoreCase(md5(bytes))) {
            throw Refused.because(FinishReason.FILE_CHANGED);
        }
        ByteBuffer raw = ByteBuffer.wrap(bytes).order(ByteOrder.LITTLE_ENDIAN);
        int width = switch (type.toUpperCase(Locale.ROOT)) {
            case "I" -> 2;
            case "L", "F" -> 4;
            case "D" -> 8;
            default -> throw Refused.because(FinishReason.FILE_BROKEN);
        };
        List<Double> heights = new ArrayList<>();
        while (raw.remaining() >= width) {
            heights.add(switch (type.toUpperCase(Locale.ROOT)) {
                case "I" -> (double) raw.getShort();
                case "L" -> (double) raw.getInt();
                case "F" -> (double) raw.getFloat();
                default -> raw.getDouble();
            });
        }
        return heights;
    }

    /** x in mm and z in µm, a line each. */
    public static byte[] csv(Trace trace) {
        StringBuilder text = new StringBuilder("x/mm;z/um\n");
        for (int i = 0; i < trace.heights().size(); i++) {
            text.append(plain(i * trace.spacing())).append(';').append(plain(trace.heights().get(i))).append('\n');
        }
        return text.toString().getBytes(StandardCharsets.UTF_8);
    }

    /** A profile of ISO 25178-72. @param at when it was recorded, as ISO 8601 @param by by whom */
    public static byte[] profile(Trace trace, String at, String by) {
        ByteBuffer raw = ByteBuffer.allocate(8 * trace.heights().size()).order(ByteOrder.LITTLE_ENDIAN);
        trace.heights().forEach(h -> raw.putDouble(h / MICROMETRES));
        String main = """
                <?xml version="1.0" encoding="UTF-8"?>
                <p:ISO5436_2 xmlns:p="http://www.opengps.eu/2008/ISO5436_2">
                <Record1><Revision>ISO5436 - 2000</Revision><FeatureType>PRF</FeatureType><Axes>
                <CX><AxisType>I</AxisType><DataType>D</DataType><Increment>%s</Increment><Offset>0</Offset></CX>
                <CY><AxisType>I</AxisType><DataType>D</DataType><Increment>1</Increment><Offset>0</Offset></CY>
                <CZ><AxisType>A</AxisType><DataType>D</DataType><Increment>1</Increment><Offset>0</Offset></CZ></Axes></Record1>
                <Record2><Date>%s</Date><Creator>%s</Creator>\
                <Instrument><Manufacturer>not said</Manufacturer><Model>not said</Model><Serial>not said</Serial>
                <Version>1</Version></Instrument><CalibrationDate>%s</CalibrationDate><ProbingSystem><Type>Contacting</Type>
                <Identification>not said</Identification></ProbingSystem></Record2>
                <Record3><MatrixDimension><SizeX>%d</SizeX><SizeY>1</SizeY><SizeZ>1</SizeZ></MatrixDimension>
                <DataLink><PointDataLink>%s</PointDataLink><MD5ChecksumPointData>%s</MD5ChecksumPointData></DataLink></Record3>
                <Record4><ChecksumFile>md5checksum.hex</ChecksumFile></Record4>
                </p:ISO5436_2>
                """.formatted(Double.toString(trace.spacing() / METRE), at, escaped(by), at, trace.heights().size(), POINTS,
                md5(raw.array()).toUpperCase(Locale.ROOT));
        byte[] head = main.getBytes(StandardCharsets.UTF_8);
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(out)) {
            put(zip, MAIN, head);
            put(zip, POINTS, raw.array());
            put(zip, "md5checksum.hex", (md5(head) + " *" + MAIN + "\n").getBytes(StandardCharsets.UTF_8));
        } catch (IOException never) {
            throw new IllegalStateException(never);
        }
        return out.toByteArray();
    }

    private static void put(ZipOutputStream zip, String name, byte[] bytes) throws IOException {
        zip.putNextEntry(new ZipEntry(name));
        zip.write(bytes);
        zip.closeEntry();
    }

    private static String escaped(String text) {
        return text.replace("&", "&amp;").replace("<", "&lt;").replace(">", "&gt;");
    }

    /** The standard asks for this sum; it guards against slips, not against anybody. */
    private static String md5(byte[] bytes) {
        try {
            return HexFormat.of().formatHex(MessageDigest.getInstance("MD5").digest(bytes));
        } catch (NoSuchAlgorithmException never) {
            throw new IllegalStateException(never);
        }
    }
}
