<?php

declare(strict_types=1);

namespace App\View;

use App\Drawing\SlotDrawing;
use Cobblestone\Assessment\Memory\MemoryBench;
use Cobblestone\Assessment\Memory\MemorySheet;
use Cobblestone\Document\Fields;
use Cobblestone\Text\Counted;

/** The memory sheet: the verdict, the next test, the slots as it wants them, the tests made. */
final readonly class MemoryPage
{
    /** What came of a test => as it is said. */
    public const OUTCOMES = ['clean' => 'clean', 'errors' => 'errors', 'no-start' => 'did not start'];

    /** Passes that acquit (default of rule A4). */
    private const PASSES = 2;

    /**
     * @param  array<string, mixed>  $start  what the form begins with
     * @param  array<string, mixed>  $entry  the sheet as the brief keeps it
     */
    public function __construct(public ?MemorySheet $sheet, private array $start, private array $entry)
    {
    }

    /** What must not happen meanwhile; empty where the memory can be trusted. */
    public function warning(): string
    {
        return match (true) {
            $this->sheet === null || $this->sheet->verdict->trusted => '',
            $this->sheet->fact() === MemorySheet::UNSTABLE => 'Nothing is copied, repaired or installed through it '
                .'before '.Counted::of($this->sheet->passes, 'clean pass', 'clean passes')
                .' of all modules at standard speed.',
            default => 'Nothing is copied, repaired or installed through this memory until that is settled and mended.',
        };
    }

    public function slotsTitle(): string
    {
        return 'Slots'.($this->sheet?->next === null ? '' : ', as the next test wants them');
    }

    /** Sets of slots that the board fills; empty where it takes any. */
    public function populations(): string
    {
        return implode('; or ', array_map(
            static fn (array $set): string => implode(' + ', $set),
            $this->sheet->bench->populations ?? [],
        ));
    }

    public function drawing(): ?SlotDrawing
    {
        return $this->sheet === null ? null : SlotDrawing::of($this->sheet);
    }

    /** @return array<string, string> slot => the module that is chosen for it, empty where none is */
    public function slots(): array
    {
        $slots = [];
        $typed = (array) old('placed');
        foreach ($this->sheet->bench->slots ?? [] as $slot) {
            $chosen = $typed[$slot] ?? array_search($slot, $this->sheet->next->placed ?? [], true);
            $slots[$slot] = is_string($chosen) ? $chosen : '';
        }

        return $slots;
    }

    /** @return list<string> */
    public function modules(): array
    {
        $bench = $this->sheet?->bench;

        return $bench === null
            ? []
            : [
                ...array_map(strval(...), array_keys($bench->modules)),
                ...$bench->spare === null ? [] : [MemoryBench::SPARE],
            ];
    }

    /** The speed that the next test is made at, as the form proposes it. */
    public function profile(): string
    {
        $sheet = $this->sheet;
        $faster = $sheet !== null && $sheet->fasterProfile && $sheet->tests === [] && $sheet->next === null;

        return IntakeField::typed('profile', $faster ? 'faster' : 'standard');
    }

    public function passes(): string
    {
        return IntakeField::typed('passes', $this->sheet->next->passes ?? self::PASSES);
    }

    /** @return list<array{at: string, placed: string, speed: string, passes: int, class: string, outcome: string}> */
    public function tests(): array
    {
        return array_values(array_map(static function (Fields $test): array {
            $placed = array_filter($test->map('placed'), is_string(...));

            return [
                'at' => Words::moment($test->optionalString('at')),
                'placed' => implode(', ', array_map(
                    static fn (string $module, string $slot): string => "{$module} in {$slot}",
                    array_keys($placed),
                    $placed,
                )),
                'speed' => $test->string('profile') === 'faster' ? 'faster profile' : 'standard',
                'passes' => $test->int('passes'),
                'class' => $test->string('outcome'),
                'outcome' => self::OUTCOMES[$test->string('outcome')] ?? $test->string('outcome'),
            ];
        }, $this->entry === [] ? [] : Fields::of($this->entry)->blocks('tests')));
    }

    /** "M1 8, M2 8" */
    public function fitted(): string
    {
        $modules = $this->start['modules'];

        return IntakeField::typed('modules', implode(', ', array_map(
            static fn (int|string $name, mixed $gib): string => "{$name} ".(is_scalar($gib) ? $gib : ''),
            array_keys($modules),
            $modules,
        )));
    }

    public function named(): string
    {
        return IntakeField::typed('slots', implode(', ', $this->start['slots']));
    }

    public function spare(): string
    {
        return IntakeField::typed('spare_gib', $this->start['spare_gib'] ?? '');
    }

    public function wasAt(string $profile): bool
    {
        return IntakeField::typed('profile', $this->start['profile']) === $profile;
    }

    public function isSoldered(): bool
    {
        return (bool) old('soldered', $this->start['soldered'] ?? false);
    }
}
