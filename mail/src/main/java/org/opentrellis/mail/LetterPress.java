package org.opentrellis.mail;

import ch.digitalfondue.mjml4j.Mjml4j;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.opentrellis.core.journey.PartId;
import org.opentrellis.core.message.Letterhead;
import org.opentrellis.core.message.Manuscript;
import org.opentrellis.core.message.Part;
import org.opentrellis.core.message.Passages;

/** Makes a letter's HTML, with places for what is each person's own. */
public final class LetterPress {
  private LetterPress() {}

  /**
   * For sending. Takes some 20 ms: it is to be kept for all who get the same passages.
   *
   * @param holding the passages whose condition holds
   */
  public static Template print(Manuscript.Email email, Letterhead head, Set<PartId> holding) {
    return print(email, head, holding, false, Map.of());
  }

  /**
   * For looking at: each part has a class {@code part-3}, by its place in {@link
   * Manuscript.Email#allParts()}.
   *
   * @param dark as it looks in the dark
   */
  public static Template proof(
      Manuscript.Email email, Letterhead head, Set<PartId> holding, boolean dark) {
    Map<PartId, Integer> numbers = new HashMap<>();
    email.allParts().forEach(part -> numbers.put(part.id(), numbers.size()));
    return print(email, head, holding, dark, numbers);
  }

  private static Template print(
      Manuscript.Email email,
      Letterhead head,
      Set<PartId> holding,
      boolean dark,
      Map<PartId, Integer> numbers) {
    Slots slots = new Slots();
    List<Part> parts = Passages.chosen(email.parts(), holding);
    String mjml = new LetterMjml(email, head, slots, dark, numbers).write(parts);
    String language = head.regional().language().toLanguageTag();
    String html = Mjml4j.render(mjml, new Mjml4j.Configuration(language));
    return new Template(slots.within(html));
  }
}
