<?php

declare(strict_types=1);

namespace Cobblestone\Catalogue;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;
use Cobblestone\Document\Written;
use Cobblestone\Machine\Model\MachineModel;
use Cobblestone\Quantity\Bytes;

/** An installer image as the shelf describes it (rule M2). */
final readonly class Image
{
    public const KINDS = ['optical', 'optical-hybrid', 'raw', 'raw-compressed', 'device-restore'];

    /**
     * @param  int|null  $build  of the system in it; null: the one the system's entry says
     * @param  bool  $besideStorage  its maker's tool writes it onto a partition, and the rest of the stick is storage
     * @param  string|null  $collects  how a program of the bench is run from it; null where none can be
     * @param  ImageAtHand|null  $atHand  null: nobody has looked on the shelf
     * @param  ImageOrigin|null  $origin  null: the publisher's, as it was published
     * @param  bool  $noChecksum  whether somebody looked, and its publisher gives none
     * @param  list<ImagePartition>  $partitions
     * @param  list<string>  $models
     */
    public function __construct(
        public string $id,
        public string $name,
        public string $file,
        public int $bytes,
        public string $kind,
        public ?string $system = null,
        public ?string $version = null,
        public ?string $asOf = null,
        public ?string $source = null,
        public ?string $edition = null,
        public ?string $language = null,
        public ?string $architecture = null,
        public ?string $compression = null,
        public ?int $expandedBytes = null,
        public ?string $sha256 = null,
        public ?string $label = null,
        public ?ImageLoader $loader = null,
        public ?ImageFiles $files = null,
        public ?string $table = null,
        public array $partitions = [],
        public array $models = [],
        public bool $kindAssumed = false,
        public ?int $build = null,
        public bool $besideStorage = false,
        public ?ImageOrigin $origin = null,
        public ?ImageAtHand $atHand = null,
        public ?string $collects = null,
        public bool $noChecksum = false,
    ) {
    }

    /**
     * @param  array<array-key, mixed>  $document  a document that the images schema accepts, or what a brief tells of
     *     an image that no shelf holds
     *
     * @throws FieldFault with the path of what does not fit
     */
    public static function fromArray(array $document): self
    {
        return self::read(Fields::of($document));
    }

    /** @throws FieldFault */
    public static function read(Fields $fields): self
    {
        return new self(
            $fields->string('id'),
            $fields->string('name'),
            $fields->string('file'),
            $fields->int('bytes'),
            $fields->oneOf('kind', self::KINDS),
            $fields->optionalString('system'),
            $fields->optionalString('version'),
            $fields->optionalString('as_of'),
            $fields->optionalString('source'),
            $fields->optionalString('edition'),
            $fields->optionalString('language'),
            $fields->optionalOneOf('architecture', MachineModel::ARCHITECTURES),
            $fields->optionalOneOf('compression', ['gzip', 'bzip2', 'xz', 'zstd']),
            $fields->optionalInt('expanded_bytes'),
            $fields->optionalString('sha256'),
            $fields->optionalString('label'),
            $fields->optional('loader', ImageLoader::read(...)),
            $fields->optional('files', ImageFiles::read(...)),
            $fields->optionalOneOf('table', ['gpt', 'mbr']),
            $fields->each('partitions', ImagePartition::read(...)),
            $fields->strings('models'),
            $fields->optionalBool('kind_assumed') ?? false,
            $fields->optionalInt('build'),
            $fields->optionalBool('beside_storage') ?? false,
            $fields->optional('origin', ImageOrigin::read(...)),
            $fields->optional('at_hand', ImageAtHand::read(...)),
            $fields->optionalString('collects'),
            $fields->optionalBool('no_checksum') ?? false,
        );
    }

    /**
     * The same image, said to be of a kind.
     *
     * @throws FieldFault where there is no such kind
     */
    public function ofKind(string $kind): self
    {
        return self::fromArray([...$this->toArray(), 'kind' => $kind, 'kind_assumed' => false]);
    }

    /**
     * What its checksum is compared with: none is a word of the publisher's, and nobody having looked is another
     * (rule U2).
     */
    public function checksumLine(): string
    {
        return match (true) {
            $this->sha256 !== null => "It must print `{$this->sha256}`. Anything else: fetch the image again, do not "
                .'use this one.',
            $this->asOf !== null, $this->noChecksum => 'The publisher gives no checksum: note the one you got, so that '
                .'the next can be compared with it.',
            default => 'Nobody has said which checksum its publisher gives: look for it where the image comes from, '
                .'and compare; where there is none, note the one you got.',
        };
    }

    public function size(): Bytes
    {
        return Bytes::of($this->bytes);
    }

    /** Bytes on the stick when written raw; null where the format does not tell. */
    public function expanded(): ?Bytes
    {
        if ($this->kind !== 'raw-compressed') {
            return $this->size();
        }

        return $this->expandedBytes === null ? null : Bytes::of($this->expandedBytes);
    }

    public function isHybrid(): bool
    {
        return $this->kind !== 'optical';
    }

    /** Whether its files can be copied onto a file system. */
    public function hasFileTree(): bool
    {
        return $this->files !== null;
    }

    /** Whether its files were counted; a description by hand may not know them. */
    public function isCounted(): bool
    {
        return $this->files?->largest !== null;
    }

    /** As counted; until then one file of the whole size. */
    public function counted(): ImageFiles
    {
        return $this->files?->largest !== null ? $this->files : new ImageFiles(1, 1, $this->bytes);
    }

    /** As counted; until then nothing that would have to be split. */
    public function largest(): LargestFile
    {
        return $this->files->largest ?? new LargestFile($this->name, 0);
    }

    /** true, false, or null where nobody could tell */
    public function loaderSigned(): ?bool
    {
        return $this->loader?->signed;
    }

    public function signer(): ?string
    {
        return $this->loader?->signer;
    }

    /** Whether it can also start the old way, without UEFI. */
    public function hasLegacyLoader(): bool
    {
        return $this->loader->legacy ?? false;
    }

    /** Whether it brings a loader for UEFI; what nobody described otherwise is taken to. */
    public function startsByUefi(): bool
    {
        return $this->loader->uefi ?? true;
    }

    public function dated(): string
    {
        return $this->asOf === null ? "brief, {$this->name}" : "shelf, {$this->name}, as of {$this->asOf}";
    }

    /** @return array<string, mixed> the same as a document */
    public function toArray(): array
    {
        return Written::of($this);
    }
}
