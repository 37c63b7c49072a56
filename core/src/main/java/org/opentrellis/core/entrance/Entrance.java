package org.opentrellis.core.entrance;

import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.opentrellis.core.journey.FileName;
import org.opentrellis.core.journey.FormName;
import org.opentrellis.core.journey.ListName;
import org.opentrellis.core.journey.MessageId;
import org.opentrellis.core.journey.Name;
import org.opentrellis.core.journey.TagName;
import org.opentrellis.core.message.Limits;

/**
 * A form by which people come in. What is not filled in yet may be empty: findings say so.
 *
 * @param name by which journeys know it
 * @param title stands above the form
 * @param asks besides the address, in the form's order; each thing once
 * @param button what the form's button says
 * @param agreement what whoever signs up agrees to get by email, word for word
 * @param confirms whether they confirm by email before they are in
 * @param lists that it puts them on
 * @param tags that it gives them
 * @param then what they see
 * @param above a message whose parts stand above the form, as composed; empty for the title alone
 * @param handsOut a file that whoever is in may fetch
 * @param tells somebody of the team who is told of each
 */
public record Entrance(
    FormName name,
    String title,
    List<Asked> asks,
    String button,
    String agreement,
    boolean confirms,
    List<ListName> lists,
    List<TagName> tags,
    Then then,
    Optional<MessageId> above,
    Optional<FileName> handsOut,
    Optional<String> tells) {
  static final int LONGEST_AGREEMENT = 1_000;

  public Entrance {
    title = Limits.line("a title", title, 200);
    button = Limits.line("a button's words", button, 60);
    agreement = Limits.line("what people agree to", agreement, LONGEST_AGREEMENT);
    asks = Asked.once(asks);
    tells =
        tells
            .map(who -> Limits.line("who is told", who, 200).strip())
            .filter(who -> !who.isEmpty());
    lists = List.copyOf(new LinkedHashSet<>(lists));
    tags = List.copyOf(new LinkedHashSet<>(tags));
  }

  /** As it begins. */
  public static Entrance begun(FormName name) {
    return new Entrance(
        name,
        name.value(),
        List.of(new Asked.FirstName(false)),
        "Sign up",
        "",
        true,
        List.of(),
        List.of(),
        new Then.Words("Thank you. You are on the list."),
        Optional.empty(),
        Optional.empty(),
        Optional.empty());
  }

  /** The lists and tags that it gives. */
  public Set<Name> labels() {
    Set<Name> labels = new LinkedHashSet<>(lists);
    labels.addAll(tags);
    return labels;
  }

  /** The same under another name. */
  public Entrance called(FormName other) {
    return new Entrance(
        other, title, asks, button, agreement, confirms, lists, tags, then, above, handsOut, tells);
  }

  /** The same without a list or tag that it gives. */
  public Entrance without(Name label) {
    return new Entrance(
        name,
        title,
        asks,
        button,
        agreement,
        confirms,
        lists.stream().filter(list -> !list.equals(label)).toList(),
        tags.stream().filter(tag -> !tag.equals(label)).toList(),
        then,
        above,
        handsOut,
        tells);
  }

  /** The messages whose parts its pages show. */
  public Set<MessageId> pages() {
    Set<MessageId> pages = new LinkedHashSet<>();
    above.ifPresent(pages::add);
    if (then instanceof Then.Page page) {
      pages.add(page.message());
    }
    return pages;
  }
}
