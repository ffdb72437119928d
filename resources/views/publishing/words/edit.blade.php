{{-- The words themselves. page: WordsPage --}}
<x-card :title="$page->title($page->kind)" :beside="__($page->isOwn ? 'showing.words_page.own_is' : 'showing.words_page.usual_is')">
    <nav class="mb-2" aria-label="{{ __('showing.words_page.languages') }}">
        @foreach ($page->languages() as $tag => $name)
            <a @class(['pill', 'on' => $tag === $page->language]) href="{{ route('letters', $page->at(language: $tag)) }}" lang="{{ $tag }}"
                @if ($tag === $page->language) aria-current="page" @endif>{{ $name }}</a>
        @endforeach
    </nav>
    <form method="post" action="{{ route('letters.update', [$page->kind->code(), $page->language]) }}">
        @csrf @method('put')
        <x-drawn :of="$page->subject()" />
        <input type="hidden" name="section" value="{{ $page->section?->sourced_id }}">
        <x-field name="subject" :label="__('showing.words_page.subject')" :value="$page->template->subject" maxlength="200"
            lang="{{ $page->language }}" />
        <label class="form-label" for="text">{{ __('showing.words_page.text') }}</label>
        <textarea class="form-control" id="text" name="text" rows="12" maxlength="8000" lang="{{ $page->language }}"
            aria-describedby="text-fault text-braces">{{ old('text', $page->template->text) }}</textarea>
        <div class="invalid" id="text-fault" role="alert">{{ $errors->first('text') }}</div>
        <p class="quiet mt-2" id="text-braces">{{ __('showing.words_page.braces') }}
            @foreach ($page->kind->placeholders() as $one)
                <code>{{ '{' . $one . '}' }}</code>{{ $loop->last ? '.' : ', ' }}
            @endforeach
            @if ($page->kind->needs() !== [])
                {{ __('showing.words_page.needs') }} <code>{{ '{' . implode('}, {', $page->kind->needs()) . '}' }}</code>.
            @endif
        </p>
        <button class="btn btn-side" name="look" value="1">{{ __('showing.words_page.look') }}</button>
        <button class="btn btn-main">{{ __('showing.words_page.keep') }}</button>
    </form>
    @if ($page->isOwn)
        <div class="mt-2">
            <x-act :to="route('letters.destroy', [$page->kind->code(), $page->language])" method="delete"
                :do="__('showing.words_page.usual')" />
        </div>
    @endif
</x-card>
