<?php

declare(strict_types=1);

namespace Cobblestone\Runbook;

/** Something weakened or changed for the job, and who puts it back (rule J4). */
final readonly class PutBack
{
    /**
     * @param  string  $closedBy  id of the step that puts it back or signs that it stays
     * @param  bool  $stays  whether it stays changed on purpose
     */
    public function __construct(
        public string $id,
        public string $what,
        public string $why,
        public string $closedBy,
        public bool $stays = false,
    ) {
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return ['id' => $this->id, 'what' => $this->what, 'why' => $this->why, 'closed_by' => $this->closedBy, 'stays' => $this->stays];
    }

    /** @param  array<string, mixed>  $data */
    public static function fromArray(array $data): self
    {
        return new self($data['id'], $data['what'], $data['why'], $data['closed_by'], $data['stays']);
    }
}
