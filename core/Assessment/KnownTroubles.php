<?php

declare(strict_types=1);

namespace Cobblestone\Assessment;

use Cobblestone\Catalogue\Image;
use Cobblestone\Catalogue\SystemProfile;
use Cobblestone\Machine\Machine;
use Cobblestone\Machine\Model\KnownTrouble;
use Cobblestone\Runbook\Decision;
use Cobblestone\Text\Lowered;

/** What is known not to work on this model with this system and version, before it is chosen (rule T4). */
final readonly class KnownTroubles
{
    /** @param  list<KnownTrouble>  $known */
    private function __construct(public array $known, private string $pair, private string $dated)
    {
    }

    public static function of(Machine $machine, SystemProfile $system, ?Image $image): self
    {
        $known = array_values(array_filter(
            $machine->model->known ?? [],
            static fn (KnownTrouble $one): bool => $one->isMeant($system->id, $image?->version),
        ));
        $version = $image?->version === null ? '' : ", version {$image->version}";

        return new self($known, "{$machine->title} with {$system->name}{$version}", $machine->model?->dated() ?? '');
    }

    /** @return list<string> what the owner will miss, as it is said to them */
    public function missed(): array
    {
        return array_map(
            static fn (KnownTrouble $one): string => Lowered::of(rtrim($one->what, '.')),
            $this->known,
        );
    }

    /** @return array<string, string> function => what is known of it */
    public function byFunction(): array
    {
        $functions = array_unique(array_map(static fn (KnownTrouble $one): string => $one->function, $this->known));

        return array_combine($functions, array_map($this->about(...), $functions));
    }

    /** What is known of one function; empty where nothing is. */
    public function about(string $function): string
    {
        return implode(' ', array_map(
            static fn (KnownTrouble $one): string => $one->sentence(),
            array_filter($this->known, static fn (KnownTrouble $one): bool => $one->function === $function),
        ));
    }

    public function decision(): ?Decision
    {
        return $this->known === [] ? null : new Decision(
            'assess.known',
            'What is known not to work',
            implode(', ', array_unique(array_map(
                static fn (KnownTrouble $one): string => Lowered::of(KnownTrouble::FUNCTIONS[$one->function]),
                $this->known,
            ))),
            array_map(static fn (KnownTrouble $one): string => $one->sentence(), $this->known),
            [],
            [$this->pair, $this->dated],
            'T4',
        );
    }

    /** @return list<KnownFound> */
    public function found(): array
    {
        return array_map(static fn (KnownTrouble $one): KnownFound => new KnownFound(
            KnownTrouble::FUNCTIONS[$one->function],
            $one->sentence(),
            $one->asOf,
        ), $this->known);
    }
}
