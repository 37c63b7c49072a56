package org.opentrellis.bench;

import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.Socket;
import java.net.URI;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.util.Collections;
import java.util.List;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.opentrellis.core.format.Json;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * Prints over HTTP how an application stands it when many sign up at a form at once, and whether it
 * loses any: {@code SignUpBench ADDRESS DATA-FOLDER [SECONDS EACH-SECOND]}. Each comes from an
 * address of this machine of their own, looks at the form, fills it in and sends it.
 */
public final class SignUpBench {
  private static final int SECONDS = 60;
  private static final int EACH_SECOND = 200;
  private static final int ADDRESSES = 2_000;
  private static final long TYPING_MILLIS = 1_600;
  private static final long WHILE_MILLIS = 20_000;
  private static final Pattern SEAL = Pattern.compile("name=\"seal\" value=\"([^\"]+)\"");

  private final URI address;
  private final Asking asking;
  private final ConcurrentLinkedQueue<Long> looks = new ConcurrentLinkedQueue<>();
  private final ConcurrentLinkedQueue<Long> takes = new ConcurrentLinkedQueue<>();
  private final AtomicInteger taken = new AtomicInteger();
  private final AtomicInteger refused = new AtomicInteger();

  private SignUpBench(URI address) {
    this.address = address;
    this.asking = new Asking(address);
  }

  public static void main(String[] arguments) throws Exception {
    SignUpBench bench = new SignUpBench(URI.create(arguments[0]));
    int seconds = arguments.length > 2 ? Integer.parseInt(arguments[2]) : SECONDS;
    int each = arguments.length > 3 ? Integer.parseInt(arguments[3]) : EACH_SECOND;
    bench.run(seconds, each);
  }

  private void run(int seconds, int each) throws Exception {
    JsonNode entrance = entrance();
    String path = entrance.get("path").asString();
    int all = seconds * each;
    long begin = System.nanoTime();
    try (ExecutorService people = Executors.newVirtualThreadPerTaskExecutor()) {
      for (int n = 0; n < all; n++) {
        long wait = begin + n * 1_000_000_000L / each - System.nanoTime();
        if (wait > 0) {
          Thread.sleep(wait / 1_000_000, (int) (wait % 1_000_000));
        }
        int number = n;
        people.submit(() -> signUp(path, number));
      }
    }
    double took = (System.nanoTime() - begin) / 1e9;
    System.out.printf(
        "%n%,d came, %d a second; %,d were taken in %.1f s, %,d were not%n",
        all, each, taken.get(), took, refused.get());
    print("look at the form", looks);
    print("send it", takes);
    Thread.sleep(WHILE_MILLIS);
    JsonNode after = asking.get("/api/entrances/" + entrance.get("id"));
    System.out.printf("the application counts %,d who signed up%n", after.get("signUps").asLong());
  }

  private JsonNode entrance() throws IOException, InterruptedException {
    ObjectNode name = Json.tree("{}").asObject();
    JsonNode made =
        asking.post("/api/entrances", name.put("name", "Bench " + System.currentTimeMillis()));
    ObjectNode entrance = made.get("entrance").asObject();
    entrance.put("confirms", false).put("agreement", "Ambercomb sends me news.");
    entrance.putArray("lists").add("Came at once");
    ObjectNode draft = Json.tree("{\"version\": 1}").asObject();
    draft.set("entrance", entrance);
    asking.put("/api/entrances/" + made.get("id"), draft);
    return asking.put("/api/entrances/" + made.get("id") + "/on", Json.tree("{}"));
  }

  private void signUp(String path, int number) {
    try {
      int from = number % ADDRESSES;
      String host = "127.9.%d.%d".formatted(from / 200 + 1, from % 200 + 1);
      long asked = System.nanoTime();
      String page = send(host, "GET " + path, "");
      looks.add((System.nanoTime() - asked) / 1_000);
      Matcher seal = SEAL.matcher(page);
      if (!seal.find()) {
        refused.incrementAndGet();
        return;
      }
      Thread.sleep(TYPING_MILLIS);
      String form =
          "seal=%s&website=&address=%s&first-name=Ida"
              .formatted(
                  URLEncoder.encode(seal.group(1), StandardCharsets.UTF_8),
                  "came%d.%d%%40example.com".formatted(System.nanoTime(), number));
      long sent = System.nanoTime();
      String answer = send(host, "POST " + path, form);
      takes.add((System.nanoTime() - sent) / 1_000);
      (answer.startsWith("HTTP/1.1 303") ? taken : refused).incrementAndGet();
    } catch (IOException failed) {
      refused.incrementAndGet();
    } catch (InterruptedException stop) {
      Thread.currentThread().interrupt();
    }
  }

  private String send(String from, String what, String body) throws IOException {
    try (Socket socket = new Socket()) {
      socket.bind(new InetSocketAddress(InetAddress.getByName(from), 0));
      socket.connect(new InetSocketAddress(address.getHost(), address.getPort()));
      String request =
          "%s HTTP/1.1\r\nHost: localhost\r\nConnection: close\r\nContent-Type: application/x-www-form-urlencoded\r\nContent-Length: %d\r\n\r\n%s"
              .formatted(what, body.length(), body);
      socket.getOutputStream().write(request.getBytes(StandardCharsets.US_ASCII));
      return new String(socket.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
    }
  }

  private static void print(String what, ConcurrentLinkedQueue<Long> micros) {
    List<Long> sorted = micros.stream().sorted().toList();
    if (sorted.isEmpty()) {
      return;
    }
    System.out.printf(
        "%-18s middle %6.1f ms, 99 of 100 %7.1f ms, slowest %7.1f ms%n",
        what,
        sorted.get(sorted.size() / 2) / 1e3,
        sorted.get(sorted.size() * 99 / 100) / 1e3,
        Collections.max(sorted) / 1e3);
  }
}
