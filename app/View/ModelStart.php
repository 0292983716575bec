<?php

declare(strict_types=1);

namespace App\View;

use Cobblestone\Boot\Model\Ground;
use Cobblestone\Boot\Model\Outcome;
use Cobblestone\Boot\Possibilities;
use Cobblestone\Boot\StickStart;

/** What a stick does on one model of the catalogue. */
final readonly class ModelStart
{
    /** How the end of a start from a stick is said. */
    private const ENDS = [
        'starts' => 'it starts',
        'refused-secure-boot' => 'refused by Secure Boot',
        'no-boot-device' => 'no bootable device',
        'silent' => 'silent',
        'loader-stopped' => 'the loader stops',
    ];

    /** @param  array<string, mixed>  $start */
    private function __construct(public string $id, public string $title, public array $start)
    {
    }

    public static function of(string $id, string $title, Possibilities $possible): self
    {
        $start = StickStart::toArray($possible);

        return new self($id, $title, [
            ...$start,
            'stones' => $start['chain'],
            'succeeds' => $start['outcome'] === 'starts',
        ]);
    }

    public function end(): string
    {
        return Outcome::from($this->start['ends_in'])->title();
    }

    public function ground(): string
    {
        return 'Ground: '.Ground::from($this->start['ground'])->title();
    }

    /** What decides it; empty where nothing is open. */
    public function dependsOn(): string
    {
        $fact = $this->start['settled_by'];

        return $fact === null ? '' : 'It depends on '.Words::fact($fact).', which nobody has looked at.';
    }

    /** @return list<array{with: string, value: string, end: string}> */
    public function otherwise(): array
    {
        return array_values(array_map(static fn (array $other): array => [
            'with' => Words::fact($other['if']),
            'value' => (string) $other['is'],
            'end' => self::ENDS[$other['outcome']] ?? $other['outcome'],
        ], $this->start['otherwise']));
    }

    /** @return list<array{name: string, class: string, holds: string, words: string}> */
    public function stones(): array
    {
        return array_values(array_map(static fn (array $stone): array => [
            'name' => $stone['name'],
            'class' => $stone['holds'] ? '' : 'bad',
            'holds' => $stone['holds'] ? 'holds' : 'missing',
            'words' => $stone['words'],
        ], $this->start['stones']));
    }
}
