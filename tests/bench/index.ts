/** Times of what a planner waits for. Every file prints its own when it is loaded. */
import './plan'
import './long-rails'
import './documents'
