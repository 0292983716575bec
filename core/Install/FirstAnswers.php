<?php

declare(strict_types=1);

namespace Cobblestone\Install;

use Cobblestone\Brief\BriefFault;
use Cobblestone\Brief\FirstBootBlock;
use Cobblestone\Catalogue\FirstBootRow;
use Cobblestone\Catalogue\SystemProfile;
use Cobblestone\Policy\Policy;

/** The answers of a first start, from what the job says, else the bench, else the profile (rule I4). */
final readonly class FirstAnswers
{
    private const USES = [
        'personal' => 'for personal use',
        'work' => 'for work',
        'shared' => 'shared by several',
    ];

    private function __construct(
        private SystemProfile $system,
        private FirstBootBlock $said,
        private Policy $policy,
    ) {
    }

    /**
     * @param  list<string>  $inFile  ids of the questions that a file on the stick answers
     * @return list<FirstAnswer> in the order in which the system asks
     *
     * @throws BriefFault where the computer's name is one that the system refuses
     */
    public static function of(
        SystemProfile $system,
        FirstBootBlock $said,
        Policy $policy,
        array $inFile = [],
    ): array {
        $answers = new self($system, $said, $policy);
        $faults = $said->computerName === null
            ? []
            : $system->firstBoot->computerName->faults($said->computerName);
        if ($faults !== []) {
            throw BriefFault::at(
                'first_boot.computer_name',
                "{$system->name} does not take \"{$said->computerName}\". ".implode(' ', $faults),
            );
        }

        return array_map(
            static fn (FirstBootRow $row): FirstAnswer => $answers->answer(
                $row,
                in_array($row->id, $inFile, true)
                    // A name that nobody has chosen stands in no file.
                    && ($row->id !== 'computer_name' || $said->computerName !== null),
            ),
            $system->firstBoot->rows,
        );
    }

    private static function school(FirstBootBlock $said, Policy $policy): string
    {
        return $said->account ?? $policy->school('account');
    }

    /** Whether the account is one of the machine alone; where nobody knows whether the way works, it is tried. */
    public static function accountIsLocal(SystemProfile $system, FirstBootBlock $said, Policy $policy): bool
    {
        return self::school($said, $policy) === 'local-first'
            && $system->firstBoot->localAccount?->worksOn($system->build) !== false;
    }

    private function answer(FirstBootRow $row, bool $inFile): FirstAnswer
    {
        [$answer, $because] = match (true) {
            $row->answer !== null => [$row->answer, $this->system->dated()],
            $row->id === 'account' => $this->account($inFile),
            default => $this->worked($row->id),
        };

        return new FirstAnswer(
            (string) $row->id,
            $row->ask,
            $answer,
            $because,
            $inFile,
        );
    }

    /** @return array{string, string} the answer, and where it comes from */
    private function worked(?string $id): array
    {
        return match ($id) {
            'region' => $this->own($this->said->region, 'region'),
            'keyboard' => $this->own($this->said->keyboard, 'keyboard'),
            'computer_name' => $this->name(),
            'use' => [
                self::USES[$this->said->use ?? 'personal'],
                $this->said->use === null ? 'nobody said otherwise' : 'this job',
            ],
            'password' => [
                'the owner types it; nobody here learns it, and nothing signs in by itself',
                'rule of this bench',
            ],
            'diagnostics' => [
                $this->policy->school('diagnostics') === 'least' ? 'as little as it allows' : 'all it asks for',
                'bench policy',
            ],
            'offers' => [
                $this->policy->school('offers') === 'no' ? 'none, every switch off' : 'as it proposes',
                'bench policy',
            ],
            'restore' => $this->said->restore === 'restore'
                ? ['from the owner\'s earlier machine; the owner signs in', 'this job']
                : ['as a new machine', $this->said->restore === null ? 'nobody said otherwise' : 'this job'],
            'drivers' => ['yes, those of others too, from its own sources', 'D4'],
            'updates' => [
                $this->policy->school('setup_updates') === 'later'
                    ? 'later: not during set-up'
                    : 'now, where it offers them',
                'bench policy',
            ],
            default => ['as it proposes', 'the profile gives no answer'],
        };
    }

    /** @return array{string, string} */
    private function own(?string $said, string $text): array
    {
        return $said === null ? [$this->policy->text($text), 'bench policy'] : [$said, 'this job'];
    }

    /** @return array{string, string} */
    private function name(): array
    {
        $longest = $this->system->firstBoot->computerName->longest;

        return $this->said->computerName === null
            ? [
                "by the bench's pattern {$this->policy->text('name_pattern')}, at most {$longest} signs, "
                    .'unlike every other here',
                'bench policy',
            ]
            : [$this->said->computerName, "at most {$longest} signs; no other job here has it"];
    }

    /** @return array{string, string} */
    private function account(bool $inFile): array
    {
        $school = self::school($this->said, $this->policy);
        $from = $this->said->account === null ? 'bench policy' : 'this job';
        $way = $this->system->firstBoot->localAccount;
        $online = 'the owner\'s account with the publisher; the owner types the password';
        $works = $way?->worksOn($this->system->build);

        return match (true) {
            $school === 'online-first' => [$online, $from],
            $way === null || ($inFile && $works !== false) => [
                'an account of this machine, in the owner\'s name',
                $from,
            ],
            $works === false => [
                $online,
                "the known way to an account of the machine does not work on build {$this->system->build}, "
                    ."as of {$way->asOf}",
            ],
            default => [
                "an account of this machine, in the owner's name. {$way->way}".($works === null
                    ? ' Where that is not offered: '.$online.'.'
                    : ''),
                "{$from}; seen to work as of {$way->asOf}. {$way->later}",
            ],
        };
    }
}
