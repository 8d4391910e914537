package escrel.web.photos;

import escrel.web.media.MediaStore;
import escrel.web.storage.MediaMapper;
import escrel.web.storage.PhotoMapper;
import escrel.web.storage.PhotoMapper.PhotoRow;
import java.net.URI;
import java.time.Duration;
import java.util.Optional;
import org.springframework.core.io.FileSystemResource;
import org.springframework.core.io.Resource;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;

/**
 * Serves pictures under the address of their content, which a browser may keep for good; a photo's own address says which
 * that is at the moment.
 */
@Controller
class PhotoController {
    private final Photos photos;
    private final PhotoMapper mapper;
    private final MediaMapper inUse;
    private final MediaStore media;

    PhotoController(Photos photos, PhotoMapper mapper, MediaMapper inUse, MediaStore media) {
        this.photos = photos;
        this.mapper = mapper;
        this.inUse = inUse;
        this.media = media;
    }

    @GetMapping("/jobs/{job}/photos/{number}")
    ResponseEntity<Void> picture(@PathVariable int job, @PathVariable int number) {
        return to(mapper.find(job, number).map(PhotoRow::picture));
    }

    @GetMapping("/jobs/{job}/photos/{number}/full")
    ResponseEntity<Void> full(@PathVariable int job, @PathVariable int number) {
        return to(mapper.find(job, number).map(p -> p.full().orElse(p.picture())));
    }

    @GetMapping("/jobs/{job}/photos/{number}/small")
    ResponseEntity<Void> small(@PathVariable int job, @PathVariable int number) {
        return to(mapper.find(job, number).map(PhotoRow::small));
    }

    private static ResponseEntity<Void> to(Optional<String> name) {
        return name.map(n -> ResponseEntity.status(HttpStatus.FOUND)
                        .location(URI.create("/media/" + n))
                        .cacheControl(CacheControl.noStore())
                        .<Void>build())
                .orElseGet(() -> ResponseEntity.notFound().build());
    }

    @GetMapping("/media/{name}")
    ResponseEntity<Resource> medium(@PathVariable String name) {
        if (!MediaStore.isName(name) || !media.has(name) || !inUse.isPicture(name)) {
            return ResponseEntity.notFound().build();
        }
        return ResponseEntity.ok()
                .contentType(MediaType.parseMediaType(photos.typeOf(name)))
                .cacheControl(
                        CacheControl.maxAge(Duration.ofDays(365)).cachePrivate().immutable())
                .body(new FileSystemResource(media.path(name)));
    }
}
