package org.opentrellis.app.news;

import java.io.IOException;
import java.io.InputStream;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.time.Duration;
import java.util.List;
import org.opentrellis.app.site.SiteNews;
import org.opentrellis.core.news.NewsItem;
import org.opentrellis.core.news.NewsSeries;
import org.opentrellis.core.problem.Refused;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;

/** Reads what stands at the sources of news, now. */
@Component
class NewsSource {
  private static final Duration PATIENCE = Duration.ofSeconds(5);
  private static final int LARGEST = 2_000_000;

  private final SiteNews site;
  private final HttpClient web =
      HttpClient.newBuilder()
          .connectTimeout(PATIENCE)
          .followRedirects(HttpClient.Redirect.NORMAL)
          .build();

  NewsSource(SiteNews site) {
    this.site = site;
  }

  /**
   * Asks over the web, for some seconds at most, unless it is the stand-in site.
   *
   * @throws Refused if it cannot be read, with why
   */
  List<NewsItem> read(NewsSeries series) {
    return FeedReading.items(series.isFromSite() ? ownFeed() : feed(series.source()));
  }

  /**
   * What a source gives.
   *
   * @param fault why it cannot be read, as half a sentence; empty if it can
   */
  record Read(List<NewsItem> items, String fault) {
    static final Read NOTHING = new Read(List.of(), "");
  }

  /** The same, with the fault told. */
  Read tryToRead(NewsSeries series) {
    try {
      return new Read(read(series), "");
    } catch (Refused refused) {
      return new Read(List.of(), String.valueOf(refused.getMessage()));
    }
  }

  private byte[] ownFeed() {
    if (!site.isOpen()) {
      throw new Refused("the site is a stand-in, and shut where real people get mail");
    }
    return site.feed();
  }

  private byte[] feed(String address) {
    HttpRequest request;
    try {
      request = HttpRequest.newBuilder(URI.create(address)).timeout(PATIENCE).GET().build();
    } catch (IllegalArgumentException fault) {
      throw new Refused("the source is no web address");
    }
    try {
      HttpResponse<InputStream> answer =
          web.send(request, HttpResponse.BodyHandlers.ofInputStream());
      try (InputStream body = answer.body()) {
        if (answer.statusCode() != HttpStatus.OK.value()) {
          throw new Refused("the source answers with the status " + answer.statusCode());
        }
        byte[] read = body.readNBytes(LARGEST + 1);
        if (read.length > LARGEST) {
          throw new Refused("the source is larger than 2 MB");
        }
        return read;
      }
    } catch (IOException fault) {
      throw new Refused("the source does not answer");
    } catch (InterruptedException stop) {
      Thread.currentThread().interrupt();
      throw new Refused("the source was not asked to the end");
    }
  }
}
