<x-act :to="'/jobs/'.$job->id.'/answers'" :seen="$job->last_entry" class="questions here">
<input type="hidden" name="stone" value="{{ $step->id }}">
@include('parts.question-field', ['question' => $gate->question])
@include('parts.error', ['field' => 'facts'])
<button class="btn go">Answer <kbd>Enter</kbd></button>
</x-act>
