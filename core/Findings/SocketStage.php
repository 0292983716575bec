<?php

declare(strict_types=1);

namespace Cobblestone\Findings;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;
use Cobblestone\Document\Written;

/** One stage of a job and its sockets (rule J5). */
final readonly class SocketStage
{
    /**
     * @param  list<SocketUse>  $uses
     * @param  bool|null  $charges  null where it has no battery
     */
    public function __construct(
        public string $stage,
        public array $uses,
        public ?bool $charges,
        public string $note,
    ) {
    }

    /** @throws FieldFault */
    public static function read(Fields $fields): self
    {
        return new self(
            $fields->string('stage'),
            $fields->each('uses', SocketUse::read(...)),
            $fields->optionalBool('charges'),
            $fields->string('note'),
        );
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return Written::of($this, ['uses', 'charges', 'note']);
    }
}
