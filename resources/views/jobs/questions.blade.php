@php($questions = $progress->asked())
@if ($questions !== [])
<form method="post" action="/jobs/{{ $job->id }}/answers" class="panel questions">@csrf<input type="hidden" name="seen" value="{{ $job->last_entry }}">
<h2>{{ count($questions) === 1 ? 'One question' : count($questions).' questions' }}@if (($later = count($progress->plan->later)) > 0) <small class="fine">most decisive first; {{ $later }} more {{ $later === 1 ? 'follows' : 'follow' }}</small>@endif</h2>
@foreach ($questions as $question)
@include('parts.question-field')
@endforeach
@include('parts.error', ['field' => 'facts'])
@if (auth()->user()->mayWork())<button class="btn go">Answer</button>@endif
</form>
@endif
