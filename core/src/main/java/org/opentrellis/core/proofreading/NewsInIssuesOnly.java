package org.opentrellis.core.proofreading;

import java.util.List;
import java.util.Optional;
import org.opentrellis.core.message.Part;

/** A list of news is filled where a message goes out as an issue; in anything else it is empty. */
final class NewsInIssuesOnly implements MessageCheck {
  @Override
  public List<MessageFinding> look(Proofreading proof) {
    return proof.parts(Part.News.class).stream()
        .map(
            part ->
                MessageFinding.note(
                    "news-in-issues-only",
                    Optional.of(part.id()),
                    "The list of news is filled when this goes out on a rhythm (Calendar, News on a rhythm); sent by anything else it stays empty."))
        .toList();
  }
}
