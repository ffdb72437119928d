<?php

// What went wrong with what somebody typed, and how to mend it, where students and guardians read it too; core/ and the
// actions know the codes alone.
return [
    'absence' => [
        'backwards' => 'The last day is before the first day.',
        'long' => 'You can report up to :n days here. For longer, contact the school.',
        'over' => 'This day is over. Ask the school to excuse the absence.',
    ],
    'code' => [
        'write' => 'Enter the join code: ten letters and digits.',
        'slip' => 'This join code contains a typing error. Compare it character by character; it has no vowels.',
        'none' => 'No class has this join code. Check it on the course page.',
    ],
    'date' => [
        'none_such' => 'The date :date does not exist.',
        'iso' => '":text" is not a date. Write year-month-day, for example 2027-02-18.',
        'unread' => '":typed" is not a date. Write it as 18 Feb, 18/2 or Thu 18.',
        'order' => '":typed" is not a date. Write the day first, for example 18/2 for 18 Feb.',
        'none' => 'The date ":typed" does not exist. Enter a day that the month has.',
        'weekday' => 'In :year that day is :date. Which of the two do you mean?',
        'outside' => '":typed" is not in the term. Add the month, for example 18 Feb.',
        'several' => '":typed" could be any of these: :some. Add the month.',
    ],
    'factor' => [
        'wrong' => 'This code is not correct. Check the clock of your device, and enter the next code.',
        'on' => 'Two-step sign-in is already on. Turn it off before you set it up again.',
        'many' => 'Too many wrong codes. Wait 15 minutes, then sign in again.',
    ],
    'password' => [
        'many' => 'Too many wrong passwords. Wait 15 minutes, then try again.',
        'short' => 'Use at least :n characters. A few words are easy to remember.',
        'long' => 'Use at most :n characters.',
        'common' => 'This password is one of the most common ones. Choose another.',
        'repeats' => 'This password repeats a few characters. Choose one that is harder to guess.',
        'known' => 'This password contains your name, email address or school. Choose something else.',
        'link' => 'This link has expired or has been used. Ask for a new one.',
        'old' => 'That is not your current password.',
    ],
    'registration' => [
        'follows' => 'You do not need to register: everyone enrolled in this class is registered. Ask your school to '
            .'enrol you.',
        'opens' => 'Registration opens on :day.',
        'closed' => 'Registration closed on :day.',
        'none_left' => 'This class has no sessions left.',
        'choose' => 'Choose at least one session.',
        'moved' => 'One of these sessions is over or was moved. Choose from the updated list.',
        'already' => 'You have already registered. See the status above.',
        'name' => 'Enter your full name, as the school knows it.',
        'email' => 'Enter your email address, for example name@school.example.',
        'list' => 'Choose sessions from the list.',
    ],
    'room' => 'The room did not open: :why Try again in a minute, or join by phone.',
    'time' => [
        'unread' => '":typed" is not a time of day. Write it as 9, 9:05, 0905 or 9.05am.',
        'hour' => '":typed" is not a time of day: the hour :hour does not exist.',
        'early' => ':time is before 07:00. Is that right?',
        'late' => ':time is after 21:00. Is that right?',
        'or' => ':one or :other?',
        'figures' => ':why Write it with four digits, for example 15:00 or 03:00.',
    ],
];
