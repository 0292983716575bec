<?php

// Draws a picture anew: php redraw.php FROM TO [AREAS], areas as JSON, in parts of what is seen; they become black.
// Run by App\Devices\Picture within limits, without the framework.

declare(strict_types=1);

[, $from, $to, $black] = $argv + [null, '', '', '[]'];
$bytes = (string) file_get_contents($from);
$kind = getimagesizefromstring($bytes)[2] ?? 0;
$picture = @imagecreatefromstring($bytes);
if ($picture === false) {
    fwrite(STDERR, "not a picture that can be drawn\n");
    exit(1);
}
// A camera writes beside the picture how it was held (Exif, tag 0x0112); that is not kept, so the picture is turned.
$noted = $kind === IMAGETYPE_JPEG ? @exif_read_data($from) : false;
$held = (int) ($noted === false ? 1 : $noted['Orientation'] ?? 1);
$turn = [3 => 180, 4 => 180, 5 => 270, 6 => 270, 7 => 90, 8 => 90][$held] ?? 0;
if ($turn !== 0) {
    $picture = imagerotate($picture, $turn, 0) ?: $picture;
}
if (in_array($held, [2, 4, 5, 7], true)) {
    imageflip($picture, IMG_FLIP_HORIZONTAL);
}
// As it is seen, so it is blackened: after it was turned, over every transparency.
[$wide, $high] = [imagesx($picture), imagesy($picture)];
imagealphablending($picture, true);
foreach ((array) json_decode($black, true) as [$x, $y, $w, $h]) {
    imagefilledrectangle(
        $picture,
        (int) floor($x * $wide),
        (int) floor($y * $high),
        (int) ceil(($x + $w) * $wide),
        (int) ceil(($y + $h) * $high),
        (int) imagecolorallocate($picture, 0, 0, 0),
    );
}
// More than a printed page shows is not kept.
if (max($wide, $high) > 2400) {
    $picture = imagescale($picture, (int) round($wide * 2400 / max($wide, $high))) ?: $picture;
}
imagesavealpha($picture, true);
$done = match ($kind) {
    IMAGETYPE_PNG => imagepng($picture, $to, 6),
    IMAGETYPE_WEBP => imagewebp($picture, $to, 88),
    default => imagejpeg($picture, $to, 88),
};
exit($done ? 0 : 1);
