<x-door :link="$gate->door($job->id)" :seen="$job->last_entry" data-key="i"/>
