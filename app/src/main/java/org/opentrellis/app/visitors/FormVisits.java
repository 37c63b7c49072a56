package org.opentrellis.app.visitors;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.ServerSocket;
import java.net.http.HttpClient;
import java.net.http.HttpResponse;
import java.time.Duration;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.springframework.stereotype.Component;

/**
 * Fills in forms as people do: each of them comes from an address of their own, looks at the form
 * for a while, and sends it. Since nobody may send a form within a moment, many are opened before
 * the first is sent.
 */
@Component
class FormVisits {
  /** Longer than a robot takes, in the wall's time. */
  private static final Duration LOOKING = Duration.ofMillis(1_600);

  private static final Duration OLD = Duration.ofHours(1);
  private static final int MOST_OPEN = 40;

  /** Of addresses that lead to this machine (RFC 1122, section 3.2.1.3). */
  private static final String NEIGHBOUR = "127.77.%d.%d";

  private static final int ADDRESSES = 250;

  private final PublicPages pages;
  private final Map<String, Deque<Opened>> open = new HashMap<>();
  private final boolean hasNeighbours = canListenAt(NEIGHBOUR.formatted(1, 1));
  private int visitors;

  FormVisits(PublicPages pages) {
    this.pages = pages;
  }

  /** A form that somebody looks at. */
  private record Opened(HttpClient who, Map<String, String> hidden, long since) {}

  private static boolean canListenAt(String address) {
    try (ServerSocket socket = new ServerSocket()) {
      socket.bind(new InetSocketAddress(InetAddress.getByName(address), 0));
      return true;
    } catch (IOException cannot) {
      return false;
    }
  }

  /**
   * Somebody fills in a form.
   *
   * @param path of its page
   * @param filled by the form's own names
   * @param coming how many are about to do so, they too
   * @return why it was not taken; empty if it was
   * @throws UncheckedIOException if the page does not answer
   */
  Optional<String> send(String path, Map<String, String> filled, int coming) {
    Deque<Opened> those = open.computeIfAbsent(path, first -> new ArrayDeque<>());
    those.removeIf(FormVisits::isOld);
    int enough = hasNeighbours ? Math.clamp(coming, 1, MOST_OPEN) : 1;
    while (those.size() < enough) {
      those.add(look(path));
    }
    Opened form = those.remove();
    pause(LOOKING.minusNanos(System.nanoTime() - form.since()));
    try (HttpClient who = form.who()) {
      Map<String, String> all = new LinkedHashMap<>(form.hidden());
      all.putAll(filled);
      HttpResponse<String> answer = pages.post(who, path, all.entrySet().stream());
      return answer.statusCode() < 400 ? Optional.empty() : Optional.of(wrong(answer));
    }
  }

  /** The application may have been started anew since. */
  private static boolean isOld(Opened form) {
    boolean old = System.nanoTime() - form.since() > OLD.toNanos();
    if (old) {
      form.who().close();
    }
    return old;
  }

  private Opened look(String path) {
    HttpClient who = somebody();
    Map<String, String> hidden = new LinkedHashMap<>();
    for (Element one :
        Jsoup.parse(pages.get(who, path).body()).select("form input[type=hidden][name]")) {
      hidden.put(one.attr("name"), one.attr("value"));
    }
    return new Opened(who, hidden, System.nanoTime());
  }

  private HttpClient somebody() {
    HttpClient.Builder client = HttpClient.newBuilder().followRedirects(HttpClient.Redirect.NEVER);
    if (!hasNeighbours) {
      return client.build();
    }
    visitors++;
    String address =
        NEIGHBOUR.formatted(1 + visitors / ADDRESSES % ADDRESSES, 1 + visitors % ADDRESSES);
    try {
      return client.localAddress(InetAddress.getByName(address)).build();
    } catch (IOException noAddress) {
      throw new UncheckedIOException(noAddress);
    }
  }

  /** What the page marks as wrong, or says. */
  private static String wrong(HttpResponse<String> answer) {
    Document page = Jsoup.parse(answer.body());
    Map<String, String> said = new LinkedHashMap<>();
    for (Element one : page.select("[id$=-problem]")) {
      said.put(one.id(), one.text());
    }
    return said.isEmpty()
        ? "The form answered %d: %s".formatted(answer.statusCode(), page.body().text())
        : "The form was not taken: " + String.join(" ", said.values());
  }

  private static void pause(Duration time) {
    try {
      Thread.sleep(time.isNegative() ? Duration.ZERO : time);
    } catch (InterruptedException stop) {
      Thread.currentThread().interrupt();
    }
  }
}
