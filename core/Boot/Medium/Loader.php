<?php

declare(strict_types=1);

namespace Cobblestone\Boot\Medium;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;
use Cobblestone\Media\Inspection\LoaderTrust;

/** A boot loader on a volume: what it is, who signed it, what it loads next. */
final readonly class Loader
{
    /**
     * @param  string  $path  as firmware names it, with forward strokes
     * @param  string|null  $architecture  it is built for; null where nobody knows
     * @param  string|null  $fault  why firmware would take it for missing
     * @param  bool|null  $signed  null where nobody has looked
     * @param  string|null  $signer  the catalogue's name of its signer
     * @param  LoaderTrust|null  $judged  the verdict under this machine's own keys, where they are known
     * @param  string|null  $nextFault  why what it loads next cannot be loaded, whatever is enforced
     * @param  string|null  $nextRefused  why the loader itself refuses what it loads next while Secure Boot is in force
     */
    public function __construct(
        public string $path,
        public ?string $architecture,
        public ?string $fault = null,
        public ?bool $signed = null,
        public ?string $signer = null,
        public ?LoaderTrust $judged = null,
        public string $because = '',
        public ?string $nextFault = null,
        public ?string $nextRefused = null,
    ) {
    }

    /**
     * @param  list<string>  $trusted  the catalogue's names of the signers the machine trusts now
     */
    public function trustedBy(array $trusted): LoaderTrust
    {
        return match (true) {
            $this->judged !== null => $this->judged,
            $this->signed === null => LoaderTrust::CannotTell,
            $this->signed === false => LoaderTrust::Unsigned,
            $this->signer === null => LoaderTrust::CannotTell,
            in_array($this->signer, $trusted, true) => LoaderTrust::Trusted,
            default => LoaderTrust::SignerNotEnrolled,
        };
    }

    /**
     * @param  array<array-key, mixed>  $data  what toArray() gave
     *
     * @throws FieldFault with the path of what does not fit
     */
    public static function fromArray(array $data): self
    {
        return self::read(Fields::of($data));
    }

    /** @throws FieldFault */
    public static function read(Fields $fields): self
    {
        return new self(
            $fields->string('path'),
            $fields->optionalString('architecture'),
            $fields->optionalString('fault'),
            $fields->optionalBool('signed'),
            $fields->optionalString('signer'),
            $fields->optionalEnum('judged', LoaderTrust::class),
            $fields->optionalString('because') ?? '',
            $fields->optionalString('next_fault'),
            $fields->optionalString('next_refused'),
        );
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'path' => $this->path,
            'architecture' => $this->architecture,
            'fault' => $this->fault,
            'signed' => $this->signed,
            'signer' => $this->signer,
            'judged' => $this->judged?->value,
            'because' => $this->because,
            'next_fault' => $this->nextFault,
            'next_refused' => $this->nextRefused,
        ];
    }
}
