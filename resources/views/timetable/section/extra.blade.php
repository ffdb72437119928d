{{-- A session beside the pattern --}}
<details @if ($page->panel === null && $errors->hasAny(['move_day', 'move_start', 'move_end'])) open @endif>
    <summary>{{ __('section.extra.title') }}</summary>
    <form class="inline mt-1" method="post" action="{{ route('session.add', [$page->section, $card->id]) }}">@csrf
        <x-date name="move_day" :label="__('session.day')" :min="$page->when->line->term->first->iso()"
            :max="$page->when->line->term->last->iso()" />
        <x-from-to :from="$card->start" :to="$card->end" />
        <button class="btn btn-side">{{ __('section.extra.do') }}</button>
    </form>
</details>
