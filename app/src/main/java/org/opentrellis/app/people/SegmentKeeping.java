package org.opentrellis.app.people;

import java.util.List;
import org.opentrellis.app.catalogue.Catalogues;
import org.opentrellis.app.catalogue.SegmentView;
import org.opentrellis.app.http.NameTaken;
import org.opentrellis.app.http.NotFound;
import org.opentrellis.app.http.Refusal;
import org.opentrellis.app.http.SaveLost;
import org.opentrellis.app.names.NameUse;
import org.opentrellis.app.names.NameUses;
import org.opentrellis.app.names.NameWords;
import org.opentrellis.app.storage.AgainIfTaken;
import org.opentrellis.core.format.Documents;
import org.opentrellis.core.journey.Segment;
import org.opentrellis.core.journey.SegmentName;
import org.opentrellis.core.problem.ProblemsFound;
import org.opentrellis.core.problem.Refused;
import org.opentrellis.core.sentence.Sentences;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps whom a sentence means under a name, for journeys and for other sentences. */
@Service
@Transactional
public class SegmentKeeping {
  private final People people;
  private final Catalogues catalogues;
  private final NameUses uses;

  SegmentKeeping(People people, Catalogues catalogues, NameUses uses) {
    this.people = people;
    this.catalogues = catalogues;
    this.uses = uses;
  }

  /** All of them, in order of their names. */
  @Transactional(readOnly = true)
  List<SegmentLine> all() {
    Sentences sentences = Sentences.ofPeople(catalogues.current()).typed();
    return catalogues.segments().stream().map(view -> line(view, sentences)).toList();
  }

  private SegmentLine line(SegmentView view, Sentences sentences) {
    Segment segment = Documents.readSegment(view.document());
    return new SegmentLine(
        segment.name().value(),
        sentences.condition(segment.who()).text(),
        view.version(),
        people.count(segment.who()),
        uses.of(segment.name()));
  }

  /**
   * @throws ProblemsFound if the name cannot be one, or the sentence is not understood
   * @throws NameTaken if there is a segment of that name
   */
  @AgainIfTaken
  public void keep(NewSegment asked) {
    catalogues.add(segment(asked.name(), asked.find()));
  }

  /**
   * Makes one mean others, wherever it is used.
   *
   * @throws NotFound if there is none of that name
   * @throws ProblemsFound if the sentence is not understood
   * @throws SaveLost if somebody else has saved it since
   */
  void change(String name, SegmentEdit edit) {
    requireThere(name);
    catalogues.save(segment(name, edit.find()), edit.version(), edit);
  }

  /**
   * @throws NotFound if there is none of that name
   * @throws Refusal if something uses it
   */
  void delete(String name) {
    requireThere(name);
    SegmentName segment = new SegmentName(name);
    List<NameUse> using = uses.of(segment);
    if (!using.isEmpty()) {
      throw new Refusal(
          HttpStatus.CONFLICT,
          "in-use",
          "%s: take the segment out there first.".formatted(NameWords.using(using)),
          null);
    }
    catalogues.remove(segment);
  }

  private void requireThere(String name) {
    boolean there =
        catalogues.current().segments().stream().anyMatch(one -> one.name().value().equals(name));
    if (!there) {
      throw NotFound.of("segment", name);
    }
  }

  private Segment segment(String name, String find) {
    if (find.isBlank()) {
      throw ProblemsFound.badValue("/find", "Say first who they are.");
    }
    try {
      return new Segment(new SegmentName(name), people.condition(find));
    } catch (Refused refused) {
      throw ProblemsFound.refused("/name", refused);
    }
  }
}
