<?php

declare(strict_types=1);

namespace Cobblestone\Runbook;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;

/** What a plan is for: whose machine, which kind of job, what goes on it; as the sheets and pages head it. */
final readonly class PlannedJob
{
    /**
     * @param  string|null  $model  the catalogue's identifier; null for a machine it does not hold
     * @param  string  $machineKind  desktop, laptop, handheld, sealed or any
     * @param  string|null  $stick  the name of the stick that carries the installer
     */
    public function __construct(
        public string $title,
        public JobKind $kind,
        public string $owner,
        public string $machine,
        public ?string $model,
        public string $machineKind,
        public ?string $system,
        public ?string $edition,
        public ?string $image,
        public ?string $stick,
    ) {
    }

    /** @throws FieldFault */
    public static function read(Fields $fields): self
    {
        return new self(
            $fields->string('title'),
            $fields->enum('goal', JobKind::class),
            $fields->string('owner'),
            $fields->string('machine'),
            $fields->optionalString('model'),
            $fields->string('kind'),
            $fields->optionalString('system'),
            $fields->optionalString('edition'),
            $fields->optionalString('image'),
            $fields->optionalString('stick'),
        );
    }

    /** @return array<string, string|null> */
    public function toArray(): array
    {
        return [
            'title' => $this->title,
            'goal' => $this->kind->value,
            'goal_title' => $this->kind->title(),
            'owner' => $this->owner,
            'machine' => $this->machine,
            'model' => $this->model,
            'kind' => $this->machineKind,
            'system' => $this->system,
            'edition' => $this->edition,
            'image' => $this->image,
            'stick' => $this->stick,
        ];
    }
}
