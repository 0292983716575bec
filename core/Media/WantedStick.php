<?php

declare(strict_types=1);

namespace Cobblestone\Media;

use Cobblestone\Catalogue\Image;
use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;
use Cobblestone\Document\Written;
use Cobblestone\Runbook\Plan;
use Cobblestone\Storage\Scheme;

/** What the stick of a job has to carry, as its path was computed (rules M3, M4, M8). */
final readonly class WantedStick
{
    /**
     * @param  string  $image  its name
     * @param  string|null  $system  the name that shelf and path call it by
     * @param  string|null  $edition  that is to be installed, else that the image holds; null: any
     * @param  string|null  $sha256  the publisher's; null where none is known
     * @param  Scheme|null  $scheme  of a stick that files are copied onto; null where the image brings its own
     * @param  int  $driverPackages  that travel on this stick
     * @param  string|null  $origin  see ImageOrigin::KINDS; null: the publisher's
     * @param  bool  $storage  whether a partition for other files stands beside the installer's
     * @param  string|null  $host  kind of computer that makes it, of the catalogue; null: this bench
     * @param  string|null  $stick  its number in the register; null where none fits
     */
    public function __construct(
        public string $image,
        public string $file,
        public WriteMode $mode,
        public ?Scheme $scheme = null,
        public int $driverPackages = 0,
        public ?string $stick = null,
        public ?string $system = null,
        public ?string $version = null,
        public ?string $edition = null,
        public ?string $language = null,
        public ?string $architecture = null,
        public ?string $sha256 = null,
        public ?string $host = null,
        public bool $storage = false,
        public ?string $origin = null,
    ) {
    }

    public static function for(
        MediaPlan $media,
        Image $image,
        ?string $system,
        ?string $edition,
        ?string $host = null,
    ): self {
        return new self(
            $image->name,
            $image->file,
            $media->mode,
            $media->scheme,
            $media->driverPackages,
            $media->stick?->id,
            $system,
            $image->version,
            $edition ?? $image->edition,
            $image->language,
            $image->architecture,
            $image->sha256,
            $host,
            $media->storage,
            $image->origin?->kind,
        );
    }

    /**
     * Null where the path needs no stick.
     *
     * @throws FieldFault with the path of what does not fit
     */
    public static function of(Plan $plan): ?self
    {
        return $plan->assessment->optional('medium', self::read(...));
    }

    /**
     * The stick that reads the machine; null where the path wants none.
     *
     * @throws FieldFault with the path of what does not fit
     */
    public static function collecting(Plan $plan): ?self
    {
        return $plan->assessment->optional('collecting', self::read(...));
    }

    /** @throws FieldFault */
    public static function read(Fields $fields): self
    {
        return new self(
            $fields->string('image'),
            $fields->string('file'),
            $fields->enum('mode', WriteMode::class),
            $fields->optionalEnum('scheme', Scheme::class),
            $fields->optionalInt('driver_packages') ?? 0,
            $fields->optionalString('stick'),
            $fields->optionalString('system'),
            $fields->optionalString('version'),
            $fields->optionalString('edition'),
            $fields->optionalString('language'),
            $fields->optionalString('architecture'),
            $fields->optionalString('sha256'),
            $fields->optionalString('host'),
            $fields->optionalBool('storage') ?? false,
            $fields->optionalString('origin'),
        );
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return Written::of($this);
    }
}
