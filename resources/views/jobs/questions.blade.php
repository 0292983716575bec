@if ($questions = $progress->asked())
<x-act :to="'/jobs/'.$job->id.'/answers'" :seen="$job->last_entry" class="panel questions" id="questions">
<h2>{{ \App\View\QuestionWords::heading($questions) }}
<small class="fine">{{ \App\View\QuestionWords::later($progress->plan) }}</small>
</h2>
@foreach ($questions as $question)
@include('parts.question-field')
@endforeach
@include('parts.error', ['field' => 'facts'])
@if (auth()->user()->mayWork())
<button class="btn go">Answer</button>
@endif
</x-act>
@endif
