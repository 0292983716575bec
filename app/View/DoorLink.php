<?php

namespace App\View;

use Cobblestone\Runbook\Door;
use Cobblestone\Runbook\OpensBy;

/** Where the page is on which a door opens, and the one press that opens it where its value is known. */
final readonly class DoorLink
{
    /** Pages of a job, by their names in a door. */
    private const PAGES = [
        'memory' => ['memory', ''],
        'partitions' => ['partitions', ''],
        'rehearsal' => ['rehearsal', ''],
        'stick' => ['stick', ''],
        'assessment' => ['assessment', ''],
    ];

    /** Field of a brief => field of the intake form. */
    private const FIELDS = [
        'goal' => 'goal',
        'machine.ports' => 'usb_c',
        'image' => 'image',
        'image.sha256' => 'image_sha256',
        'image.origin.reason' => 'image_reason',
        'host' => 'host',
        'extras' => 'extra_what',
        'licence.edition' => 'licence_edition',
        'backup.destination' => 'dest_name',
        'backup.bytes' => 'backup_bytes',
        'backup.serial' => 'dest_serial',
        'update.reason' => 'update_reason',
        'update.to' => 'update_to',
        'card.new' => 'card_new',
        'card.leads' => 'card_leads',
        'card.supply_w' => 'card_supply_w',
    ];

    public function __construct(private int $job, public Door $door)
    {
    }

    /** The field of the intake form; null where it is opened elsewhere. */
    public function field(): ?string
    {
        $at = $this->door->at;

        return match (true) {
            $this->door->by !== OpensBy::Choice => null,
            str_starts_with($at, 'machine.facts.') => 'facts['.substr($at, strlen('machine.facts.')).']',
            str_starts_with($at, 'policy.') => 'policy_'.substr($at, strlen('policy.')),
            default => self::FIELDS[$at] ?? null,
        };
    }

    /** Empty where nothing leads there. */
    public function href(): string
    {
        $field = $this->field();

        return match ($this->door->by) {
            OpensBy::Choice => $this->page('intake').$this->wish().($field === null ? '' : '#'.self::anchor($field)),
            OpensBy::Reading => $this->page('intake').'#output',
            OpensBy::Page => isset(self::PAGES[$this->door->at]) ? $this->page(self::PAGES[$this->door->at][0]) : '',
            OpensBy::Answer => "/jobs/{$this->job}#questions",
            OpensBy::Step => "/jobs/{$this->job}?stone={$this->door->at}",
            OpensBy::Waiver, OpensBy::Nothing => '',
        };
    }

    /** Whether one press opens it: a fact, and what it would have to say. */
    public function isPress(): bool
    {
        return $this->door->value !== null && str_starts_with($this->door->at, 'machine.facts.');
    }

    /** Where an answer is sent. */
    public function to(): string
    {
        return "/jobs/{$this->job}/answers";
    }

    /** Another kind of job is chosen already when its page opens. */
    private function wish(): string
    {
        return $this->door->at === 'goal' && $this->door->value !== null ? "?goal={$this->door->value}" : '';
    }

    private static function anchor(string $field): string
    {
        return str_replace(['[', ']', '.'], ['-', '', '-'], $field);
    }

    private function page(string $page): string
    {
        return "/jobs/{$this->job}/{$page}";
    }
}
