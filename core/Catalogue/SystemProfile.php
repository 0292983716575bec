<?php

declare(strict_types=1);

namespace Cobblestone\Catalogue;

use Cobblestone\Quantity\Estimate;

/** What an operating system needs, brings and asks. */
final readonly class SystemProfile
{
    public string $id;

    public string $name;

    /** @param  array<string, mixed>  $entry a document that the systems schema accepts */
    public function __construct(public array $entry)
    {
        $this->id = $entry['id'];
        $this->name = $entry['name'];
    }

    /** uefi, either or legacy */
    public function bootMode(): string
    {
        return $this->entry['firmware']['boot_mode'];
    }

    /** on (its loader is signed: leave it on), off (its loader is unsigned: it stays off) or any */
    public function secureBootAfter(): string
    {
        return $this->entry['firmware']['secure_boot_after'];
    }

    /** The signer of the installed loader: platform, third-party or null. */
    public function signer(): ?string
    {
        return $this->entry['firmware']['signer'] ?? null;
    }

    public function needsSecurityChip(): bool
    {
        return $this->entry['firmware']['security_chip'] ?? false;
    }

    /** @return list<array<string, mixed>> */
    public function partitions(): array
    {
        return $this->entry['partitions'];
    }

    /** @return list<array{name: string, minutes: array{0: float, 1: float, 2: float}, restart: bool, do?: list<string>, usual?: list<string>, next_test?: string}> */
    public function phases(): array
    {
        return $this->entry['install']['phases'];
    }

    public function estimate(string $section): Estimate
    {
        return Estimate::minutes(...$this->entry[$section]['minutes']);
    }

    /** Whether drivers of that family come with the system. */
    public function brings(string $family): bool
    {
        return in_array($family, $this->entry['built_in_families'] ?? [], true);
    }

    public function dated(): string
    {
        return "catalogue, {$this->name}, as of {$this->entry['as_of']}";
    }
}
