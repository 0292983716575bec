<?php

declare(strict_types=1);

namespace App\View;

use Cobblestone\Runbook\Act;
use Cobblestone\Runbook\Plan;
use Cobblestone\Runbook\Question;

/** The words around questions. */
final class QuestionWords
{
    /** Acts that a question shuts and that are named; the others are counted. */
    private const NAMED = 3;

    /** @param  list<Question>  $questions */
    public static function heading(array $questions): string
    {
        return count($questions) === 1 ? 'One question' : count($questions).' questions';
    }

    /** How many follow once these are answered; empty where none does. */
    public static function later(Plan $plan): string
    {
        $many = count($plan->later);

        return $many === 0 ? '' : "most decisive first; {$many} more ".($many === 1 ? 'follows' : 'follow');
    }

    /** What nobody may do before it is answered; empty where it shuts nothing. */
    public static function shuts(Question $question): string
    {
        $named = array_map(
            static fn (Act $act): string => $act->title(),
            array_slice($question->shuts, 0, self::NAMED),
        );

        $last = array_pop($named);
        $more = count($question->shuts) > self::NAMED;
        $all = $named === [] ? (string) $last : implode(', ', $named).($more ? ', ' : ' or ').$last;

        return $question->holds() ? "Until then nobody may {$all}".($more ? ' and more.' : '.') : '';
    }
}
