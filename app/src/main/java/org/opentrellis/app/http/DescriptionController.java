package org.opentrellis.app.http;

import io.swagger.v3.oas.annotations.Hidden;
import org.springframework.core.io.ClassPathResource;
import org.springframework.core.io.Resource;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

/** What the API says of itself (OpenAPI 3.1), as it was committed and tested. */
@RestController
@Hidden
class DescriptionController {

  @GetMapping(value = "/api/openapi", produces = MediaType.APPLICATION_JSON_VALUE)
  Resource describeApi() {
    return new ClassPathResource("api/openapi.json");
  }
}
