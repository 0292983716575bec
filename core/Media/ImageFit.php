<?php

declare(strict_types=1);

namespace Cobblestone\Media;

use Cobblestone\Catalogue\ImageOrigin;

/** Whether an image of the shelf is one that a job may be made from, and what speaks against it (rules M2, M14). */
final readonly class ImageFit
{
    /**
     * @param  list<string>  $against  why it is not taken; empty where it fits
     * @param  list<string>  $notes  what is to be known of one that fits
     * @param  bool  $planned  whether it is byte for byte the image that the path was computed with
     */
    private function __construct(
        public ShelfImage $image,
        public array $against,
        public array $notes,
        public bool $planned,
    ) {
    }

    public static function of(WantedStick $wanted, ShelfImage $image): self
    {
        $planned = $wanted->sha256 !== null && $image->sha256 === $wanted->sha256;
        $against = [
            ...self::unsound($image),
            ...($planned ? [] : self::different($wanted, $image)),
        ];

        return new self($image, $against, $against === [] ? self::notes($wanted, $image, $planned) : [], $planned);
    }

    /**
     * Those that fit first, the planned one before all, then the newest; what a newer of the same kind takes the
     * place of is out.
     *
     * @param  list<ShelfImage>  $shelf
     * @return list<self>
     */
    public static function all(WantedStick $wanted, array $shelf): array
    {
        $fits = array_map(static fn (ShelfImage $image): self => self::of($wanted, $image), $shelf);
        usort($fits, static fn (self $a, self $b): int => [$b->fits(), $b->planned] <=> [$a->fits(), $a->planned]
            ?: version_compare((string) $b->image->version, (string) $a->image->version)
            ?: strcmp($a->image->name, $b->image->name));
        $first = $fits[0] ?? null;

        return array_map(
            static fn (self $fit): self => $first !== null && $fit->isOlderThan($first) ? $fit->behind($first) : $fit,
            $fits,
        );
    }

    /**
     * What the job asks for and nobody has said of the image.
     *
     * @return list<string>
     */
    public static function unsaid(WantedStick $wanted, ShelfImage $image): array
    {
        $asked = [
            'edition' => [$wanted->edition, $image->edition],
            'language' => [$wanted->language, $image->language],
            'processor' => [$wanted->architecture, $image->architecture],
        ];
        $open = array_filter($asked, static fn (array $one): bool => ! in_array($one[0], [null, 'all'], true)
            && in_array($one[1], [null, ''], true));

        return array_map(
            static fn (string $what): string => "nobody said its {$what}, and the job wants {$asked[$what][0]}",
            array_keys($open),
        );
    }

    public function fits(): bool
    {
        return $this->against === [];
    }

    private function isOlderThan(self $other): bool
    {
        return $this->fits() && $other->fits() && ! $this->planned
            && version_compare((string) $this->image->version, (string) $other->image->version) < 0;
    }

    private function behind(self $newer): self
    {
        return new self(
            $this->image,
            ["stale: {$newer->image->name} is {$newer->image->version}, this one {$this->image->version}"],
            [],
            false,
        );
    }

    /** @return list<string> */
    private static function unsound(ShelfImage $image): array
    {
        $against = [];
        if ($image->damage !== null) {
            $against[] = "damaged: {$image->damage}";
        }
        if ($image->sha256 !== null && $image->published !== null && $image->sha256 !== $image->published) {
            $against[] = 'its checksum is not the published one';
        }

        return $against;
    }

    /** @return list<string> */
    private static function different(WantedStick $wanted, ShelfImage $image): array
    {
        if ($image->system === null || $image->system === '') {
            return ['nobody said which system it installs'];
        }
        if ($image->system !== $wanted->system) {
            return ["it installs {$image->system}"];
        }
        $against = self::ofAnother($wanted, $image);
        if (! self::isOf($wanted->edition, $image->edition, $image->channel)) {
            $against[] = "edition {$image->edition}, and the job installs {$wanted->edition}";
        }
        if (! self::isOf($wanted->language, $image->language) && $image->language !== 'all') {
            $against[] = "language {$image->language}, and the job wants {$wanted->language}";
        }
        if (! self::isOf($wanted->architecture, $image->architecture)) {
            $against[] = "for {$image->architecture}, and the machine is {$wanted->architecture}";
        }
        if (
            ($image->version ?? '') !== '' && $wanted->version !== null
            && version_compare((string) $image->version, $wanted->version) < 0
        ) {
            $against[] = "version {$image->version}, older than the {$wanted->version} that the path goes by";
        }

        return $against;
    }

    /** @return list<string> that it comes from somewhere else than the path has planned with (rule A15) */
    private static function ofAnother(WantedStick $wanted, ShelfImage $image): array
    {
        $kinds = ImageOrigin::KINDS;
        $is = isset($kinds[$image->origin ?? '']) ? $image->origin : null;

        return match (true) {
            $is === $wanted->origin => [],
            $is === null => ['it is the publisher\'s, and the path goes by one that is '.$kinds[$wanted->origin ?? '']],
            default => ["it is {$kinds[$is]}, and the path goes by ".($wanted->origin === null
                ? 'the publisher\'s' : "one that is {$kinds[$wanted->origin]}")],
        };
    }

    /** Whether nothing else is said of it than what is wanted. */
    private static function isOf(?string $wanted, ?string ...$said): bool
    {
        $said = array_filter($said, static fn (?string $one): bool => $one !== null && $one !== '');

        return $wanted === null || $wanted === 'all' || $said === [] || in_array($wanted, $said, true);
    }

    /** @return list<string> */
    private static function notes(WantedStick $wanted, ShelfImage $image, bool $planned): array
    {
        $notes = [];
        if ($image->sha256 === null) {
            $notes[] = 'its checksum is not computed yet';
        } elseif ($image->published === null) {
            $notes[] = 'no published checksum: only that it is the file that was read here can be told';
        }
        if ($planned) {
            return [...$notes, 'byte for byte the image that the path was computed with'];
        }
        if (($image->version ?? '') !== '' && $wanted->version !== null && $image->version !== $wanted->version) {
            $notes[] = "newer than the {$wanted->version} that the path goes by";
        }
        if ($wanted->sha256 !== null) {
            $notes[] = "not the file of the catalogue, {$wanted->file}: sizes and minutes of the build go by this one";
        }

        return $notes;
    }
}
