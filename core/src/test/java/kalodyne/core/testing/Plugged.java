package kalodyne.core.testing;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import kalodyne.core.gear.catalogue.Catalogue;
import kalodyne.core.joint.Patch;
import kalodyne.core.joint.Plugger;
import kalodyne.core.joint.Spot;
import kalodyne.core.joint.Switched;

/**
 * Gear of the catalogue as it is plugged together, in a line: "guitar-humbucker.out ts-ts di-passive.in; di-passive.out xlr-xlr
 * interface-2.mic-1; interface-2.phantom=off". A lead that is named anew is another one, unless a mark tells that it is the
 * same: "insert-lead#1". Of a splitter the end may be told: "trs-2ts#1.b".
 */
public final class Plugged {
    private static final Pattern WORD = Pattern.compile("([a-z0-9-]+)(#\\d)?(?:\\.([a-z0-9-]+))?");

    private final Plugger plugger = new Plugger();
    private final List<Switched> switches = new ArrayList<>();
    private int leads;

    private Plugged() {}

    public static Patch of(String line) {
        Plugged rig = new Plugged();
        for (String part : line.split(";", -1)) {
            rig.add(part.strip());
        }
        return rig.plugger.patch().withSwitched(rig.switches);
    }

    private void add(String part) {
        int equals = part.indexOf('=');
        if (equals >= 0) {
            switches.add(new Switched(Spot.read(part.substring(0, equals)), part.substring(equals + 1)));
            return;
        }
        List<Word> words =
                List.of(part.split(" +", -1)).stream().map(this::word).toList();
        Spot from = words.get(0).spot();
        Spot to = words.get(words.size() - 1).spot();
        List<String> chain =
                words.subList(1, words.size() - 1).stream().map(Word::id).toList();
        plugger.join(from, chain, to);
    }

    private record Word(String id, Optional<String> part) {
        Spot spot() {
            return new Spot(id, part.orElseThrow());
        }
    }

    private Word word(String text) {
        Matcher matcher = WORD.matcher(text);
        if (!matcher.matches()) {
            throw new IllegalArgumentException(text);
        }
        Catalogue catalogue = Catalogue.shipped();
        Optional<String> part = Optional.ofNullable(matcher.group(3));
        String kind = matcher.group(1);
        String mark = Optional.ofNullable(matcher.group(2))
                .map(number -> "-" + number.substring(1))
                .orElse("");
        if (catalogue.device(kind).isPresent()) {
            plugger.with(kind + mark, catalogue.device(kind).get().gear());
            return new Word(kind + mark, part);
        }
        String id = kind + (mark.isEmpty() ? "-new-" + ++leads : mark);
        plugger.with(id, catalogue.lead(kind).orElseThrow().gear());
        return new Word(id, part);
    }
}
