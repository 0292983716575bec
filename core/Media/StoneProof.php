<?php

declare(strict_types=1);

namespace Cobblestone\Media;

use Cobblestone\Document\Fields;
use Cobblestone\Quantity\Bytes;
use Cobblestone\Runbook\PathFact;
use Cobblestone\Text\Counted;

/** What a proven build says at each stone of a job's stick (rules M10, M11, M12). */
final readonly class StoneProof
{
    /** The facts that a stick which was built and read back proves, in the order in which it comes about. */
    public const PROVES = [
        PathFact::IMAGE_PROVEN, PathFact::STICK_IDENTIFIED, PathFact::STICK_WRITTEN, PathFact::STICK_PROVEN,
    ];

    /**
     * @param  int|null  $build  its number; null where it was built from the command line
     * @param  string  $built  the day
     * @param  bool|null  $published  whether the image's checksum is the published one; null where none is known
     * @param  string|null  $named  file that the path names, where that is of another checksum
     */
    public function __construct(
        private string $stick,
        private int $bytes,
        private ?string $serial,
        private Fields $content,
        private ?int $build,
        private string $built,
        private ?bool $published,
        private ?string $named = null,
    ) {
    }

    /**
     * Why the stone that checks the image is not laid by it: the path wants one checksum, and nobody has published
     * another for this file. Null where it is laid.
     *
     * @param  string|null  $sum  of the image that the stick was made from
     * @param  string|null  $published  the publisher's for that file, as the shelf knows it
     */
    public static function againstImage(WantedStick $wanted, ?string $sum, ?string $published): ?string
    {
        return match (true) {
            $sum === null => 'Nobody knows the checksum of the image that it was made from.',
            $published !== null && $published !== $sum => 'The checksum of its image is not the published one.',
            $wanted->sha256 === null, $wanted->sha256 === $sum, $published === $sum => null,
            default => "The path names {$wanted->file} with another checksum, and nobody has published one for this "
                .'file.',
        };
    }

    public function sentence(string $fact): string
    {
        return match ($fact) {
            PathFact::IMAGE_PROVEN => $this->image(),
            PathFact::STICK_IDENTIFIED => "{$this->stick}, ".($this->serial === null
                ? 'which reports no serial, '
                : "serial {$this->serial}, ").number_format($this->bytes, 0, '.', ' ')
                .' bytes: read again right before the first write.',
            PathFact::STICK_WRITTEN => $this->written(),
            PathFact::STICK_PROVEN => $this->proven(),
            default => '',
        };
    }

    private function image(): string
    {
        $sum = $this->content->optionalString('image_sha256');

        return $this->content->string('image').($sum === null ? '' : ", SHA-256 {$sum}").match ($this->published) {
            true => ', equal to the published one.',
            false => ', not the published one.',
            null => '; no published checksum is known.',
        }.($this->named === null ? '' : " The path names {$this->named}, of another checksum.");
    }

    private function written(): string
    {
        $bytes = Bytes::of($this->content->int('written_bytes'));
        $label = $this->content->optionalString('label');

        return ($this->build === null ? 'Built' : "Build {$this->build} of")." {$this->built}: {$bytes->exact()}, "
            .WriteMode::from($this->content->string('mode'))->title().($label === null ? '.' : ", label {$label}.");
    }

    private function proven(): string
    {
        return $this->content->optionalString('mode') === WriteMode::Raw->value
            ? 'Everything was read back past the cache, and its checksum is equal.'
            : Counted::of($this->content->int('files'), 'file').' read back past the cache, each checksum equal.';
    }
}
