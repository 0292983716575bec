<?php

declare(strict_types=1);

namespace Cobblestone\Runbook;

use DomainException;

/** An action the path does not allow now: what, why and what to do instead. */
final class Refused extends DomainException
{
    /**
     * @param  string  $field  the form's field it is about
     * @param  array<string, string>  $fields  further fields with their own sentences
     * @param  bool  $quick  whether it only asks whether the stone was laid before its clock ran
     */
    private function __construct(
        string $message,
        public readonly string $field = 'step',
        public readonly array $fields = [],
        public readonly bool $quick = false,
    ) {
        parent::__construct($message);
    }

    public static function unknownStep(string $step): self
    {
        return new self("The path has no step \"{$step}\" any more. Open the job again to see its present path.");
    }

    /** @param  list<string>  $missing */
    public static function notReady(Step $step, array $missing): self
    {
        return new self(
            "\"{$step->title}\" cannot start yet: first ".
                implode(', and ', array_map(PathFact::spoken(...), $missing)).
                '. You can read it ahead.',
        );
    }

    /** @param  non-empty-list<Shut>  $shut */
    public static function shut(Step $step, array $shut): self
    {
        $lines = array_map(static fn (Shut $one): string => $one->sentence().' '.$one->door->does, $shut);

        return new self(
            "\"{$step->title}\" is shut. ".
                implode(' ', array_map(ucfirst(...), $lines)).
                ' You can read it ahead.',
        );
    }

    /** @param  non-empty-list<Step>  $open */
    public static function stillOpen(Step $step, array $open): self
    {
        $names = implode(
            ', ',
            array_map(static fn (Step $one): string => "\"{$one->title}\"", array_slice($open, 0, 3)),
        );
        $more = count($open) > 3 ? ' and '.(count($open) - 3).' more' : '';

        return new self(
            "\"{$step->title}\" comes last: {$names}{$more} ".(count($open) === 1 ? 'is' : 'are').' still open.',
        );
    }

    public static function notWaivable(Gate $gate): self
    {
        return new self("This cannot be waived by anybody: {$gate->title} {$gate->door->does}", 'text');
    }

    public static function alreadyDone(Step $step): self
    {
        return new self("\"{$step->title}\" is already done. Note what happened since with a note.");
    }

    public static function notConfirmed(Step $step): self
    {
        return new self("\"{$step->title}\" cannot be undone. Confirm it in its strip first.", 'serial');
    }

    /** @param  bool  $machine  whether it is a machine's, and not a drive's */
    public static function wrongSerial(bool $machine = false): self
    {
        [$one, $other] = $machine ? ['machine', 'another machine'] : ['drive', 'another drive'];

        return new self(
            "These are not the last four of this {$one}'s serial. Read them from the label on the {$one} itself; if "
                ."they still differ, stop: this is {$other}.",
            'serial',
        );
    }

    public static function inTrouble(Step $step): self
    {
        return new self(
            "\"{$step->title}\" has a problem open. Choose \"try again\" when you start over, then it can be done.",
        );
    }

    public static function evidence(string $field, string $sentence): self
    {
        return new self($sentence, $field);
    }

    /** @param  non-empty-list<Finding>  $findings that hold the stone */
    public static function differs(array $findings): self
    {
        $fields = [];
        foreach ($findings as $finding) {
            $who = $finding->wanted->overruledBy;
            $how =
                $who === []
                    ? ' Nobody may accept this.'
                    : ' A '.implode(' or a ', $who).' may accept it, with a reason.';
            $fields[$finding->wanted->id] = $finding->sentence().$how;
        }

        return new self(implode(' ', $fields), $findings[0]->wanted->id, $fields);
    }

    public static function tooQuick(Step $step, int $seconds): self
    {
        return new self(
            "\"{$step->title}\" took {$seconds} s, and at "
                ."least {$step->time->low->label()} is usual. Was it done before the clock ran?",
            'before_clock',
            quick: true,
        );
    }

    public static function tooLate(): self
    {
        return new self(
            'A done can be taken back for '.
                Progress::TAKE_BACK.
                ' seconds. Write a note saying what was different; the log keeps both.',
        );
    }

    public static function role(string $action, string $roles): self
    {
        return new self("Only {$roles} may {$action}.", 'role');
    }

    public static function noText(): self
    {
        return new self('Write a few words, so that the next person knows what happened.', 'text');
    }
}
