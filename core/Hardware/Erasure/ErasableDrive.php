<?php

declare(strict_types=1);

namespace Cobblestone\Hardware\Erasure;

use Cobblestone\Quantity\Bytes;

/** A drive as far as its erasure asks: what names it, what it is made of, what it can do by itself (rules K2, L5). */
final readonly class ErasableDrive
{
    /**
     * @param  string|null  $serial  null where it reports none
     * @param  bool  $isFlash  whether it keeps cells in reserve that no overwrite reaches
     * @param  bool  $encrypts  whether it has encrypted everything since it was new, so that its key is all there is
     * @param  bool  $isFailing  whether its own record says replace (rule A5)
     */
    public function __construct(
        public string $model,
        public ?string $serial,
        public Bytes $size,
        public bool $isFlash,
        public bool $canSanitize = false,
        public bool $encrypts = false,
        public bool $isFailing = false,
    ) {
    }

    public function title(): string
    {
        return "{$this->model}, {$this->size->decimal()}, ".
            ($this->serial === null ? 'no serial' : "serial {$this->serial}");
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'model' => $this->model,
            'serial' => $this->serial,
            'bytes' => $this->size->count,
            'flash' => $this->isFlash,
        ];
    }
}
