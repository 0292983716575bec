<?php

declare(strict_types=1);

namespace Cobblestone\Catalogue;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;
use Cobblestone\Document\Written;
use Cobblestone\Machine\FactSheet;
use Cobblestone\Runbook\JobKind;

/** One way to set a machine right, with when it can work and what it costs (rule A3). */
final readonly class Rung
{
    private const KEEPS = ['files', 'programs', 'settings'];

    /**
     * @param  int  $order  gentlest first
     * @param  list<Condition>  $onlyIf  all must hold
     * @param  list<string>  $keeps  files, programs, settings
     * @param  bool  $writes  whether it writes to the present drive and may make a failing one worse
     * @param  bool  $media  whether it wants a stick of the system
     * @param  JobKind|null  $path  the kind of job whose path it is, where it is a whole one
     * @param  list<RungStep>  $steps
     */
    public function __construct(
        public string $id,
        public int $order,
        public string $title,
        public array $onlyIf,
        public array $keeps = [],
        public bool $writes = true,
        public bool $risk = false,
        public bool $media = false,
        public ?JobKind $path = null,
        public array $steps = [],
    ) {
    }

    /** @throws FieldFault */
    public static function read(Fields $fields): self
    {
        return new self(
            $fields->string('id'),
            $fields->int('order'),
            $fields->string('title'),
            $fields->wants('only_if')->each('only_if', Condition::read(...)),
            $fields->strings('keeps', self::KEEPS),
            $fields->optionalBool('writes') ?? true,
            $fields->optionalBool('risk') ?? false,
            $fields->optionalBool('media') ?? false,
            $fields->optionalEnum('path', JobKind::class),
            $fields->each('steps', RungStep::read(...)),
        );
    }

    /** @return array<string, mixed> the same as a document */
    public function toArray(): array
    {
        return Written::of($this, ['writes']);
    }

    /** Whether files of the owner are lost on this way. */
    public function losesFiles(): bool
    {
        return ! in_array('files', $this->keeps, true);
    }

    /** Whether somebody has tried it on this job, without success. */
    public function isTried(FactSheet $facts): bool
    {
        $tried = $facts->get('tried')->value;

        return in_array($this->id, is_array($tried) ? $tried : explode(', ', (string) $tried), true);
    }

    /** Likely minutes of its stones; null where it is a whole path. */
    public function minutes(): ?float
    {
        $minutes = 0.0;
        foreach ($this->steps as $step) {
            $minutes += $step->estimate()->likely->inMinutes();
        }

        return $this->steps === [] ? null : $minutes;
    }

    /** @return list<string> why it cannot be used; empty where nothing speaks against it yet */
    public function against(FactSheet $facts): array
    {
        $against = $this->isTried($facts) ? ['Tried already, and it did not help.'] : [];
        foreach ($this->onlyIf as $condition) {
            if ($condition->holds($facts) === false) {
                $against[] = $condition->else;
            }
        }

        return array_values(array_unique($against));
    }

    /** @return list<string> facts that have to be known before it can be said to work */
    public function unknown(FactSheet $facts): array
    {
        return array_values(
            array_unique(
                array_map(
                    static fn (Condition $condition): string => $condition->fact,
                    array_filter(
                        $this->onlyIf,
                        static fn (Condition $condition): bool => $condition->holds($facts) === null,
                    ),
                ),
            ),
        );
    }
}
