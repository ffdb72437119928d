{{-- The steps of setting up a school. steps: list<SetUpStep> --}}
<ol class="set-up">
    @foreach ($steps as $step)
        <li><x-shape :is="['done' => 'published', 'none' => 'planned', 'some' => 'changed', 'simulated' => 'changed'][$step->state()]" />
            <b>{{ __("setup.steps.$step->key.name") }}</b>
            <span
                class="{{ $step->isDone() ? 'quiet' : 'todo' }}">{{ __("setup.states.{$step->state()}", [
                    'done' => $step->done,
                    'all' => $step->all,
                ]) }}</span>
            <span class="quiet">{{ __("setup.steps.$step->key.what") }}</span>
            @if (!$step->isDone())
                <a class="btn btn-plain" href="{{ $step->url }}">{{ __("setup.steps.$step->key.do") }}</a>
            @endif
        </li>
    @endforeach
</ol>
