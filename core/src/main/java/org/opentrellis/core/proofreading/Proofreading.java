package org.opentrellis.core.proofreading;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.stream.Stream;
import org.opentrellis.core.account.Texting;
import org.opentrellis.core.journey.FileName;
import org.opentrellis.core.journey.MessageId;
import org.opentrellis.core.journey.PartId;
import org.opentrellis.core.journey.ProductName;
import org.opentrellis.core.journey.SegmentName;
import org.opentrellis.core.message.Letterhead;
import org.opentrellis.core.message.Manuscript;
import org.opentrellis.core.message.Part;

/**
 * What checks look at.
 *
 * @param id of the message
 * @param senders the addresses of those whom emails of the account can come from
 * @param files by name, whatever their case
 * @param lately the subjects of the last emails that were written besides this one
 * @param asked what journeys ask about clicks in it
 * @param bytes of its HTML for the longest of those who get it; empty if that is not known
 * @param segmentPrice of a text; empty if that is not known
 * @param texting who texts come from, and how to stop them
 * @param longest a text as it is sent, with the longest values that its fields have
 * @param today for dates that are past
 */
public record Proofreading(
    MessageId id,
    Manuscript manuscript,
    Letterhead head,
    List<String> senders,
    Map<FileName, KnownFile> files,
    Set<ProductName> products,
    Set<SegmentName> segments,
    List<String> lately,
    List<AskedLink> asked,
    OptionalInt bytes,
    Optional<Double> segmentPrice,
    Texting texting,
    String longest,
    LocalDate today) {

  /** The email, if it is one. */
  Stream<Manuscript.Email> email() {
    return manuscript instanceof Manuscript.Email email ? Stream.of(email) : Stream.empty();
  }

  /** The parts of one kind, those inside of others too. */
  <T extends Part> List<T> parts(Class<T> kind) {
    return email()
        .flatMap(Manuscript.Email::allParts)
        .filter(kind::isInstance)
        .map(kind::cast)
        .toList();
  }

  /** The email with another part in the place of the one of its id. */
  Manuscript with(Part part) {
    return Mending.parts(manuscript, list -> Mending.replace(list, part));
  }

  /** The email without a part. */
  Manuscript without(PartId part) {
    return Mending.parts(manuscript, list -> Mending.remove(list, part));
  }

  Optional<KnownFile> file(FileName name) {
    return files.entrySet().stream()
        .filter(one -> one.getKey().value().equalsIgnoreCase(name.value()))
        .map(Map.Entry::getValue)
        .findFirst();
  }
}
