<p>Nothing opens it on this job. {{ $gate->door($job->id)->door->does }}</p>
