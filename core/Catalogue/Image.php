<?php

declare(strict_types=1);

namespace Cobblestone\Catalogue;

use Cobblestone\Quantity\Bytes;

/** An installer image as the shelf describes it (rule M2's findings, from catalogue data). */
final readonly class Image
{
    public string $id;

    public string $name;

    /** @param  array<string, mixed>  $entry a document that the images schema accepts */
    public function __construct(public array $entry)
    {
        $this->id = $entry['id'];
        $this->name = $entry['name'];
    }

    /** optical, optical-hybrid, raw or raw-compressed */
    public function kind(): string
    {
        return $this->entry['kind'];
    }

    public function size(): Bytes
    {
        return Bytes::of($this->entry['bytes']);
    }

    /** Bytes on the stick when written raw; null where the format does not tell. */
    public function expanded(): ?Bytes
    {
        if ($this->kind() !== 'raw-compressed') {
            return $this->size();
        }

        return isset($this->entry['expanded_bytes']) ? Bytes::of($this->entry['expanded_bytes']) : null;
    }

    public function isHybrid(): bool
    {
        return $this->kind() !== 'optical';
    }

    /** Whether its files can be copied onto a file system. */
    public function hasFileTree(): bool
    {
        return isset($this->entry['files']);
    }

    /** Whether its files were counted; a description by hand may not know them. */
    public function isCounted(): bool
    {
        return isset($this->entry['files']['largest']);
    }

    /**
     * As counted; until then one file of the whole size.
     *
     * @return array{count: int, directories: int, bytes: int, largest: array{path: string, bytes: int, parts: string|null}}
     */
    public function files(): array
    {
        return $this->isCounted() ? $this->entry['files'] : ['count' => 1, 'directories' => 1, 'bytes' => $this->size()->count, 'largest' => ['path' => $this->name, 'bytes' => 0, 'parts' => null]];
    }

    /** true, false, or null where nobody could tell */
    public function loaderSigned(): ?bool
    {
        return $this->entry['loader']['signed'] ?? null;
    }

    public function signer(): ?string
    {
        return $this->entry['loader']['signer'] ?? null;
    }

    /** Whether it can also start the old way, without UEFI. */
    public function hasLegacyLoader(): bool
    {
        return $this->entry['loader']['legacy'] ?? false;
    }

    /** Whether it brings a loader for UEFI; what nobody described otherwise is taken to. */
    public function startsByUefi(): bool
    {
        return $this->entry['loader']['uefi'] ?? true;
    }

    public function architecture(): ?string
    {
        return $this->entry['architecture'] ?? null;
    }

    /** @return list<array{name: string, role: string, type: string, first_sector: int, sectors: int, file_system?: string}> */
    public function partitions(): array
    {
        return $this->entry['partitions'] ?? [];
    }

    public function dated(): string
    {
        return isset($this->entry['as_of']) ? "shelf, {$this->name}, as of {$this->entry['as_of']}" : "brief, {$this->name}";
    }
}
