<?php

declare(strict_types=1);

namespace Cobblestone\Boot;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;

/** How a stick starts on one kind of machine, whatever machine it is. */
final readonly class KindFound
{
    /**
     * @param  string  $kind  uefi, uefi-secure or bios
     * @param  string  $words  how it ends
     * @param  string  $because  the stone that decides it
     */
    public function __construct(
        public string $kind,
        public string $title,
        public bool $starts,
        public string $words,
        public string $because,
    ) {
    }

    /** @throws FieldFault */
    public static function read(Fields $fields): self
    {
        return new self(
            $fields->string('kind'),
            $fields->string('title'),
            $fields->bool('starts'),
            $fields->string('words'),
            $fields->string('because'),
        );
    }

    /** @return array{kind: string, title: string, starts: bool, words: string, because: string} */
    public function toArray(): array
    {
        return [
            'kind' => $this->kind,
            'title' => $this->title,
            'starts' => $this->starts,
            'words' => $this->words,
            'because' => $this->because,
        ];
    }
}
