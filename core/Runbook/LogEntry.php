<?php

declare(strict_types=1);

namespace Cobblestone\Runbook;

use Cobblestone\Document\Fields;

/** One line of a job's log, never edited. */
final readonly class LogEntry
{
    /** @param  array<string, mixed>  $data */
    public function __construct(
        public int $id,
        public EntryKind $kind,
        public ?string $step,
        public int $at,
        public string $role,
        public array $data = [],
    ) {
    }

    /** The same line under the number that it has got in the log. */
    public function numbered(int $id): self
    {
        return new self($id, $this->kind, $this->step, $this->at, $this->role, $this->data);
    }

    /** What was written under that name; empty where nothing was. */
    public function said(string $name): string
    {
        $value = $this->data[$name] ?? null;

        return is_scalar($value) ? (string) $value : '';
    }

    /**
     * What was written under that name, part by part: evidence, findings, overruled.
     *
     * @return array<string, mixed>
     */
    public function parts(string $name): array
    {
        return Fields::of($this->data)->map($name);
    }
}
