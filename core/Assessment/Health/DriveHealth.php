<?php

declare(strict_types=1);

namespace Cobblestone\Assessment\Health;

use Cobblestone\Catalogue\HealthGrade;
use Cobblestone\Catalogue\HealthRule;
use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;
use Cobblestone\Machine\HealthReading;

/** Judges one drive by its readings over time; the drive's own "passed" proves nothing (rule A5). */
final readonly class DriveHealth
{
    /**
     * @param  list<string>  $facts  the deciding one first
     */
    private function __construct(
        public string $serial,
        public string $model,
        public HealthGrade $grade,
        public array $facts,
        public int $readings,
        public ?string $at,
    ) {
    }

    /**
     * Every drive that was read, most urgent first.
     *
     * @param  list<HealthReading>  $readings  of any drives, in any order
     * @param  array<string, list<HealthRule>>  $rules  by kind: ata, nvme
     * @return list<self>
     */
    public static function all(array $readings, array $rules): array
    {
        $drives = [];
        foreach ($readings as $reading) {
            $drives[$reading->serial][] = $reading;
        }
        $judged = array_map(static fn (array $of): self => self::judge($of, $rules), array_values($drives));
        usort(
            $judged,
            static fn (self $a, self $b): int => [$b->grade->urgency(), $a->serial] <=> [
                $a->grade->urgency(),
                $b->serial,
            ],
        );

        return $judged;
    }

    /**
     * @param  non-empty-list<HealthReading>  $readings  of one drive
     * @param  array<string, list<HealthRule>>  $rules
     */
    public static function judge(array $readings, array $rules): self
    {
        usort($readings, static fn (HealthReading $a, HealthReading $b): int => (string) $a->at <=> (string) $b->at);
        $now = $readings[count($readings) - 1];
        $before = $readings[count($readings) - 2] ?? null;
        $found = [];
        foreach ($rules[$now->kind] ?? [] as $rule) {
            $fact = $rule->applies($now, $before);
            if ($fact !== null) {
                $found[] = [$rule->grade, $fact];
            }
        }
        if ($now->passed === false) {
            $found[] = [HealthGrade::Replace, 'The drive itself says that it is failing.'];
        }
        if ($found === []) {
            $found[] =
                $now->figures === []
                    ? [
                        HealthGrade::Unknown,
                        'It gave no figures, as behind some bridges: connect it directly and read it again.',
                    ]
                    : [
                        HealthGrade::Good,
                        'None of its figures is past its mark'.
                        ($now->passed === true ? '; that the drive says "passed" proves nothing by itself.' : '.'),
                    ];
        }
        usort($found, static fn (array $a, array $b): int => $b[0]->urgency() <=> $a[0]->urgency());

        return new self($now->serial, $now->model, $found[0][0], array_column($found, 1), count($readings), $now->at);
    }

    /** @throws FieldFault */
    public static function read(Fields $fields): self
    {
        return new self(
            $fields->string('serial'),
            $fields->string('model'),
            $fields->enum('grade', HealthGrade::class),
            $fields->strings('facts'),
            $fields->int('readings'),
            $fields->optionalString('at'),
        );
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'serial' => $this->serial,
            'model' => $this->model,
            'grade' => $this->grade->value,
            'facts' => $this->facts,
            'readings' => $this->readings,
            'at' => $this->at,
        ];
    }
}
